/** The drawings of the pieces that are cut, folded or printed with an ink of their own. */

const n = (value: number): string => value.toFixed(1);

/** A crescent asleep, in three colours. */
export const CRESCENT =
  '<svg xmlns="http://www.w3.org/2000/svg" width="50mm" height="60mm" viewBox="0 0 50 60">\n' +
  '<path fill="#f2dc8c" d="M50 1.2C36-.6 0 4.8 0 30C0 55.2 36 60.6 50 58.8C34 50.4 25 40.8 25 30C25 19.2 34 ' +
  '9.6 50 1.2Z"/>\n' +
  '<g fill="#d9b44a"><circle cx="13" cy="42" r="3.4"/><circle cx="21" cy="49.5" r="2.2"/><circle cx="9" ' +
  'cy="21" r="2.1"/><circle cx="28" cy="8.6" r="2.4"/><circle cx="6.4" cy="31.5" r="1.3"/></g>\n' +
  '<path fill="none" stroke="#1f2b5a" stroke-width="1.1" stroke-linecap="round" d="M14 25C16.4 27.6 19.6 27.6 ' +
  '22 25M15 27.6L14.2 29M18 28.4V30M21 27.6L21.8 29M19 36.6C20.6 38.6 23.2 38.8 25.2 37.6"/>\n' +
  '</svg>';

/** How many stars leave a trail, and the part of a turn that the shutter was open for. */
const [TRAILS, OPEN] = [96, 0.11];

/** Stars turning about the pole above a hill, as wide and high as a map of 24 × 36 in with its bleed. */
export function starTrails(): string {
  const [width, height] = [615.95, 920.75];
  const [px, py] = [width * 0.62, height * 0.3];
  const trails = Array.from({ length: TRAILS }, (_, i) => {
    const radius = 14 + i * 7.1;
    // The golden angle spreads them without a pattern.
    const from = i * 2.39996;
    const to = from + 2 * Math.PI * OPEN;
    const at = (angle: number): readonly [number, number] => [
      px + radius * Math.cos(angle),
      py + radius * Math.sin(angle),
    ];
    const ends = Array.from({ length: 9 }, (__, k) => at(from + ((to - from) * k) / 8));
    if (ends.some(([x, y]) => x < 0 || x > width || y < 0 || y > height)) return '';
    const [[x0, y0], [x1, y1]] = [at(from), at(to)];
    return (
      `<path d="M${n(x0)} ${n(y0)}A${n(radius)} ${n(radius)} 0 0 1 ${n(x1)} ${n(y1)}" ` +
      `stroke-width="${i % 3 === 0 ? 1.6 : 0.9}"/>`
    );
  });
  const hill =
    `M0 ${n(height * 0.74)}C${n(width * 0.2)} ${n(height * 0.66)} ${n(width * 0.34)} ${n(height * 0.7)} ` +
    `${n(width * 0.52)} ${n(height * 0.735)}C${n(width * 0.7)} ${n(height * 0.77)} ${n(width * 0.86)} ` +
    `${n(height * 0.71)} ${n(width)} ${n(height * 0.69)}V${n(height)}H0Z`;
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ` +
    `${height}"><g fill="none" stroke="#f2dc8c" stroke-linecap="round">${trails.join('')}</g><path ` +
    `fill="#141a3a" d="${hill}"/></svg>`
  );
}

/** Where a walker stops, in shares of the flat map. */
export const STOPS = [
  [0.14, 0.9],
  [0.3, 0.82],
  [0.47, 0.87],
  [0.63, 0.81],
  [0.8, 0.86],
] as const;

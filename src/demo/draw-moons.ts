/** Four moons of a month, one under the other on an even night. */
export function fourMoons(width: number, height: number): string {
  const radius = width * 0.3;
  const n = (v: number): string => v.toFixed(1);
  const moons = PHASES.map((lit, i) => {
    const [cx, cy] = [width / 2, height * (0.14 + 0.215 * i)];
    const across = radius * (1 - 2 * lit);
    // The lit part: half the rim, and back along the ellipse of the terminator.
    const edge =
      `M${n(cx)} ${n(cy - radius)}A${n(radius)} ${n(radius)} 0 0 1 ${n(cx)} ` +
      `${n(cy + radius)}A${n(Math.abs(across))} ${n(radius)} 0 0 ${across > 0 ? 0 : 1} ${n(cx)} ` +
      `${n(cy - radius)}Z`;
    return `<circle cx="${n(cx)}" cy="${n(cy)}" r="${n(radius)}" fill="#57567f"/><path d="${edge}" fill="#f3e6bd"/>`;
  });
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ` +
    `${height}"><rect width="${width}" height="${height}" fill="#1b2148"/>${moons.join('')}</svg>`
  );
}

/** How much of each is lit. */
const PHASES = [0.12, 0.5, 0.82, 1] as const;

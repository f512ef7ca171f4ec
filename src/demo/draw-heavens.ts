/** Pictures of the heavens for banner, folder and report, each from a seed of its own. */
import { seeded } from './draw-sky';

const n = (v: number): string => v.toFixed(1);

/** A field of stars over a ground, as SVG elements. */
function stars(width: number, height: number, count: number, seed: number): string {
  const random = seeded(seed);
  const unit = Math.min(width, height) / 1000;
  return Array.from({ length: count }, () => {
    const size = random() ** 7;
    const warm = random();
    const colour = warm > 0.85 ? '#ffe0b8' : warm > 0.65 ? '#cfdcff' : '#ffffff';
    return (
      `<circle cx="${n(random() * width)}" cy="${n(random() * height)}" r="${n((0.7 + size * 4) * unit)}" ` +
      `fill="${colour}" opacity="${n(0.3 + random() * 0.6)}"/>`
    );
  }).join('');
}

const page = (width: number, height: number, defs: string, inside: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ` +
  `${height}"><defs>${defs}</defs>${inside}</svg>`;

const radial = (
  id: string,
  stops: readonly (readonly [number, string, number?])[],
  at = 'cx="0.5" cy="0.5" r="0.5"',
): string => `<radialGradient id="${id}" ${at}>${stops.map(stop).join('')}</radialGradient>`;

const stop = ([offset, colour, opacity]: readonly [number, string, number?]): string =>
  `<stop offset="${offset}" stop-color="${colour}"${opacity === undefined ? '' : ` stop-opacity="${opacity}"`}/>`;

const linear = (id: string, stops: readonly (readonly [number, string])[]): string =>
  `<linearGradient id="${id}" x1="0" y1="0" x2="0" ` +
  `y2="1">${stops.map(([o, c]) => `<stop offset="${o}" stop-color="${c}"/>`).join('')}</linearGradient>`;

export type Heaven = (typeof HEAVENS)[number];

export const HEAVENS = ['moon', 'ringed planet', 'comet', 'spiral', 'eclipse', 'northern lights', 'dome'] as const;

/** One of the seven pictures, at a size in pixels. */
export function heaven(which: Heaven, width: number, height: number): string {
  const [cx, cy, r] = [width / 2, height / 2, Math.min(width, height) * 0.34];
  switch (which) {
    case 'moon':
      return page(
        width,
        height,
        linear('g', [
          [0, '#10163a'],
          [1, '#2b2f63'],
        ]) +
          radial(
            'm',
            [
              [0, '#fffbe9'],
              [0.7, '#efe3bf'],
              [1, '#c9b98d'],
            ],
            'cx="0.38" cy="0.36" r="0.7"',
          ),
        `<rect width="${width}" height="${height}" fill="url(#g)"/>${stars(width, height, 240, 11)}<circle ` +
          `cx="${n(cx)}" cy="${n(cy)}" r="${n(r)}" fill="url(#m)"/>${craters(cx, cy, r)}`,
      );
    case 'ringed planet':
      return page(
        width,
        height,
        linear('g', [
          [0, '#191338'],
          [1, '#4b2a58'],
        ]) +
          linear('p', [
            [0, '#f6dfae'],
            [0.3, '#e2b277'],
            [0.45, '#f0cf98'],
            [0.62, '#cf9160'],
            [1, '#9c6144'],
          ]),
        `<rect width="${width}" height="${height}" fill="url(#g)"/>${stars(width, height, 260, 23)}<g ` +
          `transform="rotate(-18 ${n(cx)} ${n(cy)})">${ring(cx, cy, r, 'back')}<circle cx="${n(cx)}" ` +
          `cy="${n(cy)}" r="${n(r * 0.72)}" fill="url(#p)"/>${ring(cx, cy, r, 'front')}</g>`,
      );
    case 'comet':
      return page(
        width,
        height,
        linear('g', [
          [0, '#071a2e'],
          [1, '#17496a'],
        ]) +
          radial('h', [
            [0, '#ffffff'],
            [0.25, '#cfeeff', 0.9],
            [1, '#7ec4ff', 0],
          ]),
        `<rect width="${width}" height="${height}" ` +
          `fill="url(#g)"/>${stars(width, height, 300, 37)}${tail(width, height)}<circle ` +
          `cx="${n(width * 0.33)}" cy="${n(height * 0.66)}" r="${n(r * 0.5)}" fill="url(#h)"/>`,
      );
    case 'spiral':
      return page(
        width,
        height,
        linear('g', [
          [0, '#0b0b22'],
          [1, '#241b45'],
        ]) +
          radial('c', [
            [0, '#fff6dd'],
            [0.2, '#ffd9a0', 0.85],
            [1, '#6f5bb5', 0],
          ]),
        `<rect width="${width}" height="${height}" fill="url(#g)"/>${stars(width, height, 220, 41)}<g ` +
          `transform="rotate(24 ${n(cx)} ${n(cy)}) translate(${n(cx)} ${n(cy)}) scale(1 ` +
          `0.62)">${arms(r * 1.25)}<circle r="${n(r * 0.75)}" fill="url(#c)"/></g>`,
      );
    case 'eclipse':
      return page(
        width,
        height,
        radial('k', [
          [0, '#fff1c9'],
          [0.42, '#ffe2a0', 0.95],
          [0.55, '#f49a5c', 0.55],
          [1, '#3a1735', 0],
        ]),
        `<rect width="${width}" height="${height}" fill="#150a22"/>${stars(width, height, 160, 53)}<circle ` +
          `cx="${n(cx)}" cy="${n(cy)}" r="${n(r * 1.65)}" fill="url(#k)"/><circle cx="${n(cx)}" cy="${n(cy)}" ` +
          `r="${n(r * 0.72)}" fill="#0b0714"/>`,
      );
    case 'northern lights':
      return page(
        width,
        height,
        linear('g', [
          [0, '#06162b'],
          [0.7, '#0f3b4d'],
          [1, '#1c5a58'],
        ]) +
          '<linearGradient id="v" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#6a25ff" ' +
          'stop-opacity="0"/><stop offset="0.18" stop-color="#5f22ff" stop-opacity="0.8"/><stop ' +
          'offset="0.36" stop-color="#9dffce" stop-opacity="0.9"/><stop offset="0.6" stop-color="#14e67c" ' +
          'stop-opacity="0.92"/><stop offset="1" stop-color="#0fcf9c" stop-opacity="0"/></linearGradient>' +
          '<filter id="b" x="-5%" y="-5%" width="110%" height="110%"><feGaussianBlur ' +
          `stdDeviation="${n(width * 0.004)} ${n(height * 0.004)}"/></filter>`,
        `<rect width="${width}" height="${height}" fill="url(#g)"/>${stars(width, height, 240, 61)}<g ` +
          `filter="url(#b)">${curtains(width, height)}</g><path d="M0 ${height}L0 ` +
          `${n(height * 0.86)}Q${n(width * 0.25)} ${n(height * 0.78)} ${n(width * 0.5)} ` +
          `${n(height * 0.87)}T${width} ${n(height * 0.82)}V${height}Z" fill="#081018"/>`,
      );
    case 'dome':
      return page(
        width,
        height,
        linear('g', [
          [0, '#1b2554'],
          [0.65, '#6a4f86'],
          [1, '#e39a6e'],
        ]),
        `<rect width="${width}" height="${height}" ` +
          `fill="url(#g)"/>${stars(width, height * 0.7, 200, 71)}${observatory(width, height)}`,
      );
  }
}

function craters(cx: number, cy: number, r: number): string {
  const random = seeded(8);
  return Array.from({ length: 26 }, () => {
    const [a, d] = [random() * Math.PI * 2, Math.sqrt(random()) * 0.86];
    const size = r * (0.03 + random() ** 2 * 0.14) * (1 - d * 0.3);
    const [x, y] = [cx + Math.cos(a) * d * r, cy + Math.sin(a) * d * r];
    return (
      `<circle cx="${n(x)}" cy="${n(y)}" r="${n(size)}" fill="#b7a678" opacity="0.45"/><circle ` +
      `cx="${n(x + size * 0.16)}" cy="${n(y + size * 0.16)}" r="${n(size * 0.82)}" fill="#d9cba0" ` +
      'opacity="0.6"/>'
    );
  }).join('');
}

/** The half of a planet’s rings that lies behind it, or before it. */
function ring(cx: number, cy: number, r: number, half: 'back' | 'front'): string {
  const sweep = half === 'front' ? 0 : 1;
  const rings = [
    { reach: 1.5, colour: '#e8cfa3', wide: 0.1 },
    { reach: 1.32, colour: '#c79f78', wide: 0.06 },
    { reach: 1.12, colour: '#f3e2bd', wide: 0.05 },
  ];
  return rings
    .map(({ reach, colour, wide }) => {
      const [rx, ry] = [r * reach, r * reach * 0.26];
      return (
        `<path d="M${n(cx - rx)} ${n(cy)}A${n(rx)} ${n(ry)} 0 0 ${sweep} ${n(cx + rx)} ${n(cy)}" fill="none" ` +
        `stroke="${colour}" stroke-width="${n(r * wide)}" opacity="0.9"/>`
      );
    })
    .join('');
}

function tail(width: number, height: number): string {
  const random = seeded(91);
  const [x, y] = [width * 0.33, height * 0.66];
  return Array.from({ length: 46 }, () => {
    const spread = (random() - 0.5) * 0.42;
    const length = (0.35 + random() * 0.55) * width;
    const angle = -0.62 + spread;
    return (
      `<path d="M${n(x)} ${n(y)}L${n(x + Math.cos(angle) * length)} ${n(y + Math.sin(angle) * length)}" ` +
      `stroke="#dff4ff" stroke-width="${n(1 + random() * width * 0.006)}" stroke-linecap="round" ` +
      'opacity="0.09"/>'
    );
  }).join('');
}

function arms(reach: number): string {
  const random = seeded(17);
  return Array.from({ length: 900 }, (_, i) => {
    const along = random();
    const turn = (i % 2) * Math.PI + along * 4.4 + (random() - 0.5) * 0.7;
    const d = reach * (0.08 + along * 0.92) + (random() - 0.5) * reach * 0.08;
    const colour = random() > 0.7 ? '#ffd3b0' : random() > 0.5 ? '#9fb6ff' : '#e9e6ff';
    return (
      `<circle cx="${n(Math.cos(turn) * d)}" cy="${n(Math.sin(turn) * d)}" ` +
      `r="${n(reach * (0.004 + random() * 0.016))}" fill="${colour}" opacity="${n(0.15 + random() * 0.4)}"/>`
    );
  }).join('');
}

function curtains(width: number, height: number): string {
  const random = seeded(29);
  return Array.from({ length: 70 }, (_, i) => {
    const x = (i / 70) * width * 1.1 - width * 0.05;
    const top = height * (0.16 + 0.14 * Math.sin(i / 9) + random() * 0.05);
    const foot = height * (0.62 + 0.08 * Math.sin(i / 7 + 1));
    return (
      `<path d="M${n(x)} ${n(top)}C${n(x + width * 0.03)} ${n(height * 0.35)} ${n(x - width * 0.03)} ` +
      `${n(height * 0.5)} ${n(x + width * 0.02)} ${n(foot)}" stroke="url(#v)" ` +
      `stroke-width="${n(width * (0.012 + random() * 0.02))}" fill="none" ` +
      `opacity="${n(0.4 + random() * 0.4)}"/>`
    );
  }).join('');
}

function observatory(width: number, height: number): string {
  const s = Math.min(width, height) * 0.26;
  const [x, y] = [width * 0.5, height * 0.72];
  return (
    `<path d="M${n(x - s)} ${n(y + s * 0.9)}V${n(y)}A${n(s)} ${n(s)} 0 0 1 ${n(x + s)} ` +
    `${n(y)}V${n(y + s * 0.9)}Z" fill="#232a52"/>` +
    `<path d="M${n(x + s * 0.08)} ${n(y - s * 0.99)}L${n(x + s * 0.4)} ${n(y - s * 0.92)}L${n(x + s * 0.36)} ` +
    `${n(y)}L${n(x + s * 0.08)} ${n(y)}Z" fill="#f2c879"/>` +
    `<path d="M${n(x - s * 1.06)} ${n(y)}H${n(x + s * 1.06)}" stroke="#3a4478" stroke-width="${n(s * 0.08)}"/>` +
    `<path d="M0 ${height}V${n(height * 0.84)}Q${n(width * 0.3)} ${n(height * 0.74)} ${n(width * 0.56)} ` +
    `${n(height * 0.8)}T${width} ${n(height * 0.78)}V${height}Z" fill="#171b38"/>`
  );
}

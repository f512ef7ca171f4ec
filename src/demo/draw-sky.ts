/** The demo’s pictures are drawn here: stars, moor and meteors, from a seed, so that they are always the same. */

/** Numbers from 0 to 1 that look random and are not (mulberry32). */
export function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const n = (v: number): string => v.toFixed(1);

/** A night over a moor, as SVG: the sky’s glow, the milky way, stars, a shower of meteors, and two ridges. */
export function meteorSky(width: number, height: number): string {
  const random = seeded(1847);
  const stars: string[] = [];
  for (let i = 0; i < 1500; i += 1) {
    const [x, y] = [random() * width, random() ** 1.25 * height * 0.9];
    const size = random() ** 6;
    const radius = (0.55 + size * 3.2) * (width / 1819);
    const warm = random();
    const colour = warm > 0.86 ? '#ffdcae' : warm > 0.7 ? '#cfe0ff' : '#ffffff';
    stars.push(
      `<circle cx="${n(x)}" cy="${n(y)}" r="${n(radius)}" fill="${colour}" ` +
        `opacity="${n(0.25 + size * 0.7 + random() * 0.2)}"/>`,
    );
  }
  const dust: string[] = [];
  for (let i = 0; i < 420; i += 1) {
    const along = random();
    const across = (random() + random() + random() - 1.5) * 0.16;
    const x = (0.02 + along * 0.96 + across * 0.8) * width;
    const y = (0.78 - along * 0.82 + across) * height;
    const r = (14 + random() * 70) * (width / 1819);
    dust.push(
      `<circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="${random() > 0.6 ? '#8f86c9' : '#5e76b8'}" opacity="0.05"/>`,
    );
  }
  const radiant = { x: width * 0.74, y: height * 0.08 };
  const meteors = Array.from({ length: 11 }, () => {
    const angle = (0.52 + random() * 0.62) * Math.PI;
    const from = (0.14 + random() * 0.42) * height;
    const length = (0.07 + random() * 0.2) * height;
    const at = (d: number) => [radiant.x + Math.cos(angle) * d, radiant.y + Math.sin(angle) * d] as const;
    const [[x1, y1], [x2, y2]] = [at(from), at(from + length)];
    const [dx, dy] = [-Math.sin(angle), Math.cos(angle)];
    const half = (1.2 + random() * 2.2) * (width / 1819);
    return (
      `<path d="M${n(x1)} ${n(y1)}L${n(x2 + dx * half)} ${n(y2 + dy * half)}L${n(x2 - dx * half)} ` +
      `${n(y2 - dy * half)}Z" fill="#fff4d8" opacity="${n(0.5 + random() * 0.4)}"/>` +
      `<circle cx="${n(x2)}" cy="${n(y2)}" r="${n(half * 1.5)}" fill="#fffdf4"/>`
    );
  });
  const ridge = (base: number, rise: number, seed: number) => {
    const wave = seeded(seed);
    const phases = Array.from({ length: 5 }, () => [wave() * 7, 0.6 + wave() * 3.2] as const);
    const points = Array.from({ length: 61 }, (_, i) => {
      const t = i / 60;
      const h = phases.reduce((sum, [phase, rate], k) => sum + Math.sin(t * rate * 4 + phase) / (k + 1.4), 0);
      return `L${n(t * width)} ${n(height * base - h * height * rise)}`;
    });
    return `M0 ${n(height)}${points.join('')}L${n(width)} ${n(height)}Z`;
  };
  const hut = { x: width * 0.2, y: height * 0.862, s: width * 0.055 };
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ` +
    `${height}">\n` +
    '<defs><linearGradient id="sky" x1="0" y1="0" x2="0.12" y2="1">\n' +
    '<stop offset="0" stop-color="#0b1030"/><stop offset="0.42" stop-color="#1f2658"/><stop offset="0.68" ' +
    'stop-color="#4a3f7c"/>\n' +
    '<stop offset="0.82" stop-color="#a3627f"/><stop offset="0.9" stop-color="#e0946c"/></linearGradient>' +
    '</defs>\n' +
    `<rect width="${width}" height="${height}" fill="url(#sky)"/>\n` +
    `${dust.join('')}${stars.join('')}${meteors.join('')}\n` +
    `<path d="${ridge(0.84, 0.028, 31)}" fill="#3a2d55"/>\n` +
    `<path d="${ridge(0.905, 0.022, 77)}" fill="#141a35"/>\n` +
    `<path d="M${n(hut.x - hut.s)} ${n(hut.y + hut.s * 0.9)}V${n(hut.y)}A${n(hut.s)} ${n(hut.s)} 0 0 1 ` +
    `${n(hut.x + hut.s)} ${n(hut.y)}V${n(hut.y + hut.s * 0.9)}Z" fill="#141a35"/>\n` +
    `<path d="M${n(hut.x + hut.s * 0.12)} ${n(hut.y - hut.s)}L${n(hut.x + hut.s * 0.4)} ` +
    `${n(hut.y - hut.s * 0.95)}L${n(hut.x + hut.s * 0.4)} ${n(hut.y)}L${n(hut.x + hut.s * 0.12)} ${n(hut.y)}Z" ` +
    'fill="#f2c879" opacity="0.85"/>\n' +
    '</svg>'
  );
}

/** A crescent over a hill, small and square, for trying a picture frame. */
export function crescent(size: number): string {
  const random = seeded(90);
  const stars = Array.from(
    { length: 90 },
    () =>
      `<circle cx="${n(random() * size)}" cy="${n(random() * size * 0.8)}" r="${n(0.6 + random() * 1.6)}" ` +
      'fill="#fff" opacity="0.8"/>',
  );
  const s = size / 100;
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}" viewBox="0 0 ${size} ${size}">\n` +
    `<rect width="${size}" height="${size}" fill="#1b2350"/>${stars.join('')}\n` +
    `<path d="M${n(62 * s)} ${n(18 * s)}A${n(22 * s)} ${n(22 * s)} 0 1 0 ${n(78 * s)} ` +
    `${n(52 * s)}A${n(18 * s)} ${n(18 * s)} 0 1 1 ${n(62 * s)} ${n(18 * s)}Z" fill="#f6e7c1"/>\n` +
    `<path d="M0 ${n(86 * s)}Q${n(30 * s)} ${n(72 * s)} ${n(58 * s)} ${n(84 * s)}T${n(100 * s)} ` +
    `${n(80 * s)}V${n(100 * s)}H0Z" fill="#10162f"/></svg>`
  );
}

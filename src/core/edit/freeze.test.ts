import { mirroredData } from '../element';

/** Where resvg, which reads path data by itself, sees ink: the share of dark pixels left and right of the middle. */
async function halves(data: string): Promise<readonly [left: number, right: number]> {
  const { Resvg } = await import('@resvg/resvg-js');
  const page = 'viewBox="0 0 1 1" width="100" height="100"';
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" ${page}><path d="${data}"/></svg>`;
  const { pixels } = new Resvg(svg).render();
  const counts: [number, number] = [0, 0];
  for (let i = 0; i < 10_000; i += 1) if ((pixels[i * 4 + 3] ?? 0) > 127) counts[i % 100 < 50 ? 0 : 1] += 1;
  return counts;
}

test.each([
  'M0 0L0.4 0L0.4 1Z',
  'M0 0L.4 0 .4 1Z',
  'M0,0L4e-1,0 4E-1,1Z',
  'M0 0L.4.0L.4-.1.4.9Z',
  'M0 0C.2.1.4.5.1 1Z',
])('%s is mirrored whole', async (data) => {
  const [before, after] = [await halves(data), await halves(mirroredData(data))];
  expect(Math.abs(after[0] - before[1]) + Math.abs(after[1] - before[0])).toBeLessThan(60);
  expect(before[0]).toBeGreaterThan(before[1]);
});

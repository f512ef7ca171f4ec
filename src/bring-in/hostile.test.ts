import { crc32 } from 'node:zlib';
import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { strToU8, zipSync } from 'fflate';
import sharp from 'sharp';
import { makeJob } from '../testing/jobs';
import { readFont } from './font';
import { readPicture } from './picture';
import { readJobText, readWorkingFile, writeWorkingFile } from './working-file';

const hash = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');
const problemOf = (read: { ok: boolean; problem?: string; problems?: readonly string[] }) =>
  read.ok ? 'fine' : (read.problem ?? read.problems?.join(' ') ?? '');

const flat = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#345' } });

/** A PNG header that promises far more pixels than the file holds. */
function hugePng(): Buffer {
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type), data]);
    const out = Buffer.alloc(body.length + 8);
    out.writeUInt32BE(data.length, 0);
    body.copy(out, 4);
    out.writeUInt32BE(crc32(body), body.length + 4);
    return out;
  };
  const header = Buffer.alloc(13);
  header.writeUInt32BE(40_000, 0);
  header.writeUInt32BE(40_000, 4);
  header.set([8, 2, 0, 0, 0], 8);
  const signature = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  return Buffer.concat([
    signature,
    chunk('IHDR', header),
    chunk('IDAT', Buffer.alloc(0)),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

describe('pictures', () => {
  test('sound ones say what they are; the camera’s orientation is applied', async () => {
    const jpeg = await flat(60, 40).jpeg().withMetadata({ orientation: 6 }).toBuffer();
    expect(await readPicture('a.jpg', jpeg)).toMatchObject({
      ok: true,
      picture: { width: 40, height: 60, colour: 'rgb', format: 'jpeg' },
    });
    const png = await flat(60, 40).ensureAlpha(0.5).png().toBuffer();
    expect(await readPicture('a.png', png)).toMatchObject({ ok: true, picture: { alpha: true, format: 'png' } });
    const cmyk = await flat(60, 40).toColourspace('cmyk').jpeg().toBuffer();
    expect(await readPicture('a.jpg', cmyk)).toMatchObject({ ok: true, picture: { colour: 'cmyk' } });
    const webp = await flat(60, 40).webp().toBuffer();
    expect(await readPicture('a.webp', webp)).toMatchObject({ ok: true, picture: { format: 'webp' } });
    const grey = await flat(60, 40).toColourspace('b-w').png().toBuffer();
    expect(await readPicture('a.png', grey)).toMatchObject({ ok: true, picture: { colour: 'grey' } });
  });
  test('a truncated JPEG', async () => {
    const jpeg = await sharp(Buffer.from(Uint8Array.from({ length: 300 * 300 * 3 }, (_, i) => (i * i) & 255)), {
      raw: { width: 300, height: 300, channels: 3 },
    })
      .jpeg()
      .toBuffer();
    expect(problemOf(await readPicture('cut.jpg', jpeg.subarray(0, jpeg.length / 2)))).toContain(
      'damaged or cut short',
    );
  });
  test('40,000 × 40,000 pixels in a few bytes', async () => {
    expect(problemOf(await readPicture('huge.png', hugePng()))).toContain('40000 × 40000 pixels');
  });
  test('text that calls itself a PNG, an SVG, and nothing at all', async () => {
    expect(problemOf(await readPicture('words.png', strToU8('these are only words')))).toContain('is not a picture');
    expect(problemOf(await readPicture('x.png', strToU8('<svg xmlns="http://www.w3.org/2000/svg"/>')))).toContain(
      'Save it as JPEG',
    );
    expect(problemOf(await readPicture('x.png', new Uint8Array()))).toContain('is not a picture');
  });
  test('no bytes whatever make it throw', async () => {
    const jpeg = new Uint8Array(await flat(20, 20).jpeg().toBuffer());
    await fc.assert(
      fc.asyncProperty(fc.nat(jpeg.length - 1), fc.nat(255), async (at, value) => {
        const broken = Uint8Array.from(jpeg);
        broken[at] = value;
        expect(typeof (await readPicture('x.jpg', broken)).ok).toBe('boolean');
      }),
      { numRuns: 60 },
    );
  });
});

describe('fonts', () => {
  const ttf = readFileSync('public/fonts/jost-latin-400-normal.ttf');
  const woff2 = readFileSync('node_modules/@fontsource/jost/files/jost-latin-400-normal.woff2');
  /** The same font with another fsType. */
  const licensed = (fsType: number) => {
    const bytes = Buffer.from(ttf);
    for (let i = 0; i < bytes.readUInt16BE(4); i += 1) {
      const at = 12 + i * 16;
      if (bytes.toString('latin1', at, at + 4) === 'OS/2') bytes.writeUInt16BE(fsType, bytes.readUInt32BE(at + 8) + 8);
    }
    return bytes;
  };
  test('TTF and WOFF2 are read', async () => {
    for (const bytes of [ttf, woff2]) {
      expect(await readFont('mine.ttf', bytes)).toMatchObject({
        ok: true,
        font: { family: 'Jost', weight: 400, italic: false, embedding: 'installable' },
      });
    }
  });
  // OpenType specification, OS/2 fsType: 2 restricted, 4 preview and print, 8 editable, 0x200 bitmaps only.
  test.each([
    [2, 'may not be embedded'],
    [0x200, 'may not be embedded'],
    [4, 'print'],
    [8, 'editable'],
  ])('fsType %i', async (fsType, expected) => {
    const read = await readFont('mine.ttf', licensed(fsType));
    expect(read.ok ? read.font.embedding : read.problem).toContain(expected);
  });
  test.each([
    ['words', strToU8('not a font at all, but long enough'), 'is not a font'],
    ['nothing', new Uint8Array(), 'too short'],
    ['half a font', ttf.subarray(0, 4000), 'outside the file'],
    ['a damaged WOFF2', woff2.subarray(0, 900), 'damaged WOFF2'],
    ['a collection', strToU8('ttcf00000000000000'), 'collection'],
  ])('%s', async (_name, bytes, expected) => {
    expect(problemOf(await readFont('x.ttf', bytes))).toContain(expected);
  });
});

describe('working files', () => {
  const asset = strToU8('a picture, let us say');
  const sha = hash(asset);
  const job = makeJob();
  test('come back as they went out', () => {
    const zip = writeWorkingFile(job, new Map([[sha, asset]]));
    const read = readWorkingFile(zip, hash);
    expect(read).toMatchObject({ ok: true });
    if (read.ok) {
      expect(read.job).toEqual(job);
      expect(read.assets.get(sha)).toEqual(asset);
      expect(Buffer.from(writeWorkingFile(read.job, read.assets)).equals(Buffer.from(zip))).toBe(true);
    }
  });
  const withEntry = (name: string, data = asset) => zipSync({ 'job.json': strToU8(JSON.stringify(job)), [name]: data });
  test.each([
    ['an entry that climbs out', withEntry('../../etc/cron.d/x'), 'does not belong'],
    ['an absolute path', withEntry('/etc/passwd'), 'does not belong'],
    ['an asset under a false name', withEntry(`assets/${'b'.repeat(64)}`), 'do not match'],
    ['no job', zipSync({ [`assets/${sha}`]: asset }), 'no job in this zip'],
    ['half a zip', writeWorkingFile(job, new Map()).subarray(0, 200), 'damaged zip'],
    [
      'a job with a wrong type',
      zipSync({ 'job.json': strToU8('{"format":"yellow-sheet-job","version":1,"name":7}') }),
      'name: ',
    ],
    ['a job that is not JSON', zipSync({ 'job.json': strToU8('{nearly') }), 'not JSON'],
  ])('%s', (_name, zip, expected) => {
    expect(problemOf(readWorkingFile(zip, hash))).toContain(expected);
  });
  test('a zip bomb is refused before it is unpacked', () => {
    // Packed by a program: packing 200 MB of nothing here takes twenty seconds.
    const script =
      "import io, sys, zipfile\nout = io.BytesIO()\nwith zipfile.ZipFile(out, 'w', zipfile.ZIP_DEFLATED) as " +
      "z: z.writestr('job.json', bytes(200 << 20))\nsys.stdout.buffer.write(out.getvalue())";
    const bomb = new Uint8Array(execFileSync('/usr/bin/python3', ['-c', script]));
    expect(bomb.length).toBeLessThan(1024 * 1024);
    expect(readWorkingFile(bomb, hash).ok).toBe(false);
  });
  test('a prototype in a job file stays words', () => {
    expect(readJobText('{"__proto__":{"x":1},"constructor":1}').ok).toBe(false);
  });
});

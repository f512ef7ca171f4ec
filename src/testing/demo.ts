import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import sharp from 'sharp';
import { readDataFile } from '../bring-in/data';
import { readPicture } from '../bring-in/picture';
import { readSvg } from '../bring-in/svg';
import type { Asset, Job } from '../core/job';
import { LAID_OUT, demoFile, filesOf, laidOut, type BroughtIn, type Kept } from '../demo';
import type { AssetSource } from '../output';
import { inMemory } from './jobs';

/** A piece of the demo world as it was laid out, with its files; pictures at a share of their pixels. */
export async function demoPiece(file: string, share = 1): Promise<{ readonly job: Job; readonly assets: AssetSource }> {
  const piece = LAID_OUT.find((p) => p.file === file);
  if (!piece) throw new Error(`The demo has no piece called ${file}.`);
  const kept = JSON.parse(readFileSync(`assets/demo/${file}.json`, 'utf8')) as Kept;
  const files = new Map<string, BroughtIn>();
  const bytesOf = new Map<string, Uint8Array>();
  for (const name of filesOf(kept)) {
    const { bytes } = await demoFile(name, '.');
    const smaller = share < 1 && name.endsWith('.jpg') ? await reduced(bytes, share) : bytes;
    const sha = createHash('sha256').update(smaller).digest('hex');
    files.set(name, { sha, asset: await assetOf(name, smaller) });
    bytesOf.set(sha, smaller);
  }
  return { job: laidOut(piece, kept, files), assets: inMemory(bytesOf) };
}

/** A picture with a share of its pixels across and down. */
async function reduced(bytes: Buffer, share: number): Promise<Buffer> {
  const picture = sharp(bytes);
  const { width, height } = await picture.metadata();
  return picture
    .resize(Math.round(width * share), Math.round(height * share), { fit: 'fill' })
    .jpeg({ quality: 90, chromaSubsampling: '4:4:4' })
    .withMetadata({ density: 300 })
    .toBuffer();
}

async function assetOf(name: string, bytes: Buffer): Promise<Asset> {
  if (name.endsWith('.svg')) {
    const read = readSvg(bytes.toString());
    if (!read.ok) throw new Error(read.problem);
    const { width, height, shapes } = read.art;
    return { kind: 'drawing', name, width, height, shapes: shapes.length };
  }
  if (name.endsWith('.csv')) {
    const read = readDataFile(name, bytes);
    if (!read.ok) throw new Error(read.problem);
    return read.asset;
  }
  const read = await readPicture(name, bytes);
  if (!read.ok) throw new Error(read.problem);
  return read.picture;
}

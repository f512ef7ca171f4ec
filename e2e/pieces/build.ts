import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { toKept } from '../../src/demo/keep';
import { IS_ALL } from '../../src/testing/all';
import { copyOf, openJob, stored } from '../helpers';
import { Hand } from './hand';

/** A piece of the demo world, and how it is laid out by hand. */
export interface Recipe {
  /** Its name among the pieces that the demo keeps. */
  readonly file: string;
  /** The file of its recipe, beside this one. */
  readonly recipe: string;
  readonly build: (hand: Hand) => Promise<void>;
  /** The most actions it may take. */
  readonly most: number;
  /** In every run it is built from nothing, or shown as the demo keeps it; the others only where all is asked for. */
  readonly always?: 'built' | 'shown';
}

/**
 * Whether a piece is built from nothing in this run: where all of them are asked for (`npm run test:all`), or where its
 * recipe or the hand that follows it changed since it was built last. What was built then is what the demo keeps.
 */
export const isBuiltByHand = (piece: Recipe): boolean =>
  piece.always === 'built' || IS_ALL || lastBuilt(piece) !== digestOf(piece);

/** Whether a piece is looked at in this run: it stands for its kind, or it has to be built. */
export const isLookedAt = (piece: Recipe): boolean => piece.always !== undefined || isBuiltByHand(piece);

/** A piece, built by hand and found to be the one that the demo keeps, or a copy of that one. */
export async function openPiece(page: Page, piece: Recipe): Promise<Hand> {
  const hand = new Hand(page);
  if (!isBuiltByHand(piece)) {
    await openJob(page, await copyOf(page, `demo-${piece.file}`));
    return hand;
  }
  await piece.build(hand);
  const built = await stored(page);
  console.log(`${piece.file}: ${hand.actions} actions, ${hand.typed.length} of them typed`);
  const kept = `assets/demo/${piece.file}.json`;
  // With YS_KEEP what was built becomes what is kept.
  if (process.env['YS_KEEP']) writeFileSync(kept, `${JSON.stringify(toKept(built), null, 1)}\n`);
  expect(hand.actions).toBeLessThanOrEqual(piece.most);
  expect(toKept(built)).toEqual(JSON.parse(readFileSync(kept, 'utf8')));
  if (lastBuilt(piece) !== digestOf(piece)) {
    mkdirSync(BUILT, { recursive: true });
    writeFileSync(`${BUILT}/${piece.file}`, `${digestOf(piece)}\n`);
  }
  return hand;
}

const HERE = 'e2e/pieces';
/** What each piece was built by last, one file each. */
const BUILT = `${HERE}/built`;

function lastBuilt({ file }: Recipe): string | undefined {
  const path = `${BUILT}/${file}`;
  return existsSync(path) ? readFileSync(path, 'utf8').trim() : undefined;
}

function digestOf({ recipe }: Recipe): string {
  const hash = createHash('sha256');
  for (const file of [recipe, 'hand', 'inks']) hash.update(readFileSync(`${HERE}/${file}.ts`));
  return hash.digest('hex');
}

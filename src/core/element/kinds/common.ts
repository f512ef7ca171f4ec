import { z } from 'zod';
import { Effect } from '../effect';
import { ARTWORK } from '../group';
import { Extent } from '../length';
import { Blend } from '../paint';
import { Placement, elementId, id } from '../placement';
import { Repeat } from '../repeat';

/** Longest name of an element, characters. */
export const LONGEST_NAME = 200;

/** SHA-256 of the bytes of a file. */
export const sha = z.string().regex(/^[0-9a-f]{64}$/);

/** What every element has, whatever its kind. */
export const common = {
  id,
  name: z.string().max(LONGEST_NAME).default(''),
  placement: Placement,
  opacity: z.number().min(0).max(1).default(1),
  blend: Blend.default('normal'),
  layer: id.default(ARTWORK),
  group: id.nullable().default(null),
  clipTo: elementId.nullable().default(null).describe('A shape outside which it is not seen.'),
  effects: z.array(Effect).max(12).default([]),
  wrap: Extent.nullable()
    .default(null)
    .describe('Text of the same side keeps this far off its outline; null: it runs beneath.'),
  unprinted: z.literal(true).optional().describe('Only there for process lines and coatings to follow.'),
  repeat: z.array(Repeat).max(4).default([]).describe('Each is applied to what the one before gave.'),
};

/** Whether an edge that lies on the trim runs out into the bleed, or stops at the trim. */
export const AtTrim = z.enum(['bleeds', 'stops']);

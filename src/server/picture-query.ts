import 'server-only';
import { conversionKey, readConversion } from '@/core/colour';
import { Adjust } from '@/core/element';
import { ProfileKey } from '@/core/shop';
import { unclear } from './problems';

/** The way of colours that a picture is wanted through: see `conversionKey`. */
export function conversionOf(query: URLSearchParams): string {
  const way = readConversion(query.get('profile') ?? '');
  if (!ProfileKey.safeParse(way.profile).success) throw unclear.profile();
  return conversionKey(way);
}

/** What is done to its colours. */
export function adjustOf(query: URLSearchParams): Adjust | undefined {
  const text = query.get('adjust');
  if (text === null) return undefined;
  try {
    return Adjust.parse(JSON.parse(text));
  } catch {
    throw unclear.adjustment();
  }
}

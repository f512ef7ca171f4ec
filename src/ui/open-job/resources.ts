'use client';
import { useEffect, useMemo, useState } from 'react';
import type { ColourEngine } from '@/core/colour';
import {
  drawingsNeeded,
  faceFor,
  facesNeeded,
  holidayKey,
  holidaysNeeded,
  needsCodes,
  inkKey,
  inksNeeded,
  languagesNeeded,
  type FaceNeed,
  type InkNeed,
  type Resources,
} from '@/core/compose';
import type { Occasion } from '@/core/dates';
import { jobFonts, type Job } from '@/core/job';
import type { VectorArt } from '@/core/shape';
import { loadHolidays } from './load-holidays';
import { PROFILES } from '@/core/shop';
import { loadHyphenator, type Face, type Hyphenator } from '@/core/type';
import { drawingAddress, faceFiles, type FaceFile } from './addresses';

const engines = new Map<string, Promise<ColourEngine>>();
const faces = new Map<string, Promise<Face | undefined>>();
const hyphenators = new Map<string, Promise<Hyphenator | undefined>>();
const drawings = new Map<string, Promise<VectorArt | undefined>>();
const holidays = new Map<string, Promise<readonly Occasion[]>>();

async function bytesOf(path: string): Promise<Uint8Array> {
  const response = await fetch(path);
  if (!response.ok) throw new Error(`${path} could not be loaded.`);
  return new Uint8Array(await response.arrayBuffer());
}

function fetchOnce<T>(map: Map<string, Promise<T>>, key: string, load: () => Promise<T>): Promise<T> {
  const before = map.get(key);
  if (before) return before;
  const loading = load().catch((error: unknown) => {
    // A failure is not remembered: the next change tries again.
    map.delete(key);
    throw error;
  });
  map.set(key, loading);
  return loading;
}

const engine = (conversion: string) =>
  fetchOnce(engines, conversion, async () => {
    const { fetchProfile } = await import('@/bring-in/profile');
    return (await fetchProfile(conversion)).engine;
  });

async function openFace(face: Omit<Face, 'files'>, files: readonly FaceFile[]): Promise<Face> {
  const { openFont } = await import('@/bring-in/font');
  const opened = await Promise.all(files.map(async ({ key, path }) => openFont(key, await bytesOf(path))));
  return { ...face, files: opened };
}

/** Loads the face that a need comes down to; undefined when its family is not at hand. */
function loadFace(job: Job, need: FaceNeed): Promise<Face | undefined> {
  const source = faceFor(job, need);
  if (!source) return Promise.resolve(undefined);
  const { family, weight, italic, postscript } = source.from === 'job' ? source.font : source.face;
  const files = faceFiles(source);
  return fetchOnce(faces, files.map(({ key }) => key).join(), () =>
    openFace({ family, weight, italic, postscript }, files),
  );
}

/** A drawing as the server read it; one that is gone is left out, and a check says so. */
async function loadArt(sha: string): Promise<VectorArt | undefined> {
  const response = await fetch(drawingAddress(sha));
  return response.ok ? ((await response.json()) as VectorArt) : undefined;
}

/** Fetches what every job needs, so that the first one opens as fast as the next. */
export function warmUp(): void {
  // A failure is not said here: whoever opens a job is told.
  import('@/bring-in/font').catch(() => undefined);
  engine(PROFILES[0]).catch(() => undefined);
}

const totals = new Map<string, Promise<number>>();
const NONE: ReadonlyMap<string, number> = new Map();

/** How much ink its pictures take, as it becomes known: nothing waits for it. */
function useInks(job: Job, conversion: string): ReadonlyMap<string, number> {
  const [inks, setInks] = useState(NONE);
  const wanted = useMemo(() => JSON.stringify([conversion, inksNeeded(job)]), [job, conversion]);
  useEffect(() => {
    let current = true;
    const [profile, needs] = JSON.parse(wanted) as [string, readonly InkNeed[]];
    const load = async ({ picture, adjust }: InkNeed): Promise<number> => {
      const asked = new URLSearchParams({ profile, ...(adjust && { adjust: JSON.stringify(adjust) }) });
      const response = await fetch(`/api/assets/${picture}/ink-most?${asked.toString()}`);
      if (!response.ok) throw new Error('The inks of a picture could not be read.');
      return ((await response.json()) as { most: number }).most;
    };
    const asked = needs.map(async (need) => {
      const key = inkKey(need);
      // One that cannot be read is a finding of its own.
      const most = await fetchOnce(totals, `${profile} ${key}`, () => load(need)).catch(() => undefined);
      return most === undefined ? [] : ([[key, most]] as const);
    });
    void Promise.all(asked).then((found) => current && needs.length > 0 && setInks(new Map(found.flat())));
    return () => {
      current = false;
    };
  }, [wanted]);
  return inks;
}

/**
 * Everything the job needs, or undefined while it loads for the first time; later needs keep the last until they are
 * there.
 */
export function useResources(
  job: Job,
  conversion: string,
): { resources: Resources | undefined; problem: string | undefined } {
  const [resources, setResources] = useState<Resources>();
  const inks = useInks(job, conversion);
  const [problem, setProblem] = useState<string>();
  const wanted = useMemo(
    () =>
      JSON.stringify([
        conversion,
        facesNeeded(job),
        languagesNeeded(job),
        jobFonts(job).map((f) => f.sha),
        drawingsNeeded(job),
        holidaysNeeded(job),
        needsCodes(job),
      ]),
    [job, conversion],
  );
  useEffect(() => {
    let current = true;
    const load = async () => {
      const { createFontSet } = await import('@/bring-in/font');
      const [colour, loaded, patterns, arts, days, encode] = await Promise.all([
        engine(conversion),
        Promise.all(facesNeeded(job).map((need) => loadFace(job, need))),
        Promise.all(
          languagesNeeded(job).map(
            async (tag) => [tag, await fetchOnce(hyphenators, tag, () => loadHyphenator(tag))] as const,
          ),
        ),
        Promise.all(
          drawingsNeeded(job).map(async (sha) => [sha, await fetchOnce(drawings, sha, () => loadArt(sha))] as const),
        ),
        Promise.all(
          holidaysNeeded(job).map(async (need) => {
            const key = holidayKey(need);
            return [key, await fetchOnce(holidays, key, () => loadHolidays(need))] as const;
          }),
        ),
        // Most jobs have no code: what makes them is fetched where one has.
        needsCodes(job) ? import('@/bring-in/code').then((m) => m.encode) : undefined,
      ]);
      const bySha = new Map(arts);
      const byTag = new Map(patterns);
      const byNeed = new Map(days);
      const fonts = createFontSet([...new Set(loaded.flatMap((face) => (face ? [face] : [])))]);
      if (current)
        setResources({
          colour,
          fonts,
          hyphenator: (tag) => byTag.get(tag),
          art: (sha) => bySha.get(sha),
          encode,
          holidays: (need) => byNeed.get(holidayKey(need)) ?? [],
        });
      if (current) setProblem(undefined);
    };
    load().catch((error: unknown) => {
      if (current) setProblem(error instanceof Error ? error.message : 'Fonts and colour could not be loaded.');
    });
    return () => {
      current = false;
    };
    // What is wanted stands for the job: other changes of it need nothing new.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [wanted]);
  const whole = useMemo(
    () => resources && { ...resources, inkMost: (need: InkNeed) => inks.get(inkKey(need)) },
    [resources, inks],
  );
  return { resources: whole, problem };
}

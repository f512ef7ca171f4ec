import { formatOf } from '../format';
import { Element, type ElementInput } from '../element';
import { plainParagraphs, startJob, withSide, type Job, type PictureAsset } from '../job';
import type { Rect } from '../layout';
import type { Mm } from '../measure';

/** A page that goes along with a job, A4 upright, as a job of its own: set and drawn like any other. */
export const [WIDTH, HEIGHT, MARGIN]: readonly [Mm, Mm, Mm] = [210, 297, 18];

const INK = { kind: 'process', c: 30, m: 20, y: 10, k: 95 } as const;
const YELLOW = { kind: 'process', c: 0, m: 12, y: 70, k: 0 } as const;
const SOFT = { kind: 'process', c: 20, m: 15, y: 10, k: 60 } as const;

/** Faces that ship: one for words, one for figures. */
export const [WORDS, FIGURES] = ['Barlow', 'IBM Plex Mono'] as const;

/** Room for the words of a watermark, mm. */
const HIGH = 50;

interface WordsLook {
  readonly sizePt?: number;
  readonly weight?: number;
  readonly isSoft?: boolean;
  readonly family?: string;
  readonly align?: 'left' | 'right' | 'centre';
}

type Placed = Pick<Rect, 'x' | 'y' | 'width' | 'height'>;

const at = ({ x, y, width, height }: Placed) =>
  ({ against: { box: 'trim' }, x: { start: x, size: width }, y: { start: y, size: height } }) as const;

/** Lays elements one above the other, each with an id of its own. */
export class SheetOf {
  private readonly elements: Element[] = [];
  private readonly assets: Record<string, PictureAsset> = {};

  /** @param page what sets its elements apart from those of other pages */
  constructor(private readonly page = 1) {}

  private add(input: ElementInput): void {
    this.elements.push(Element.parse(input));
  }

  private id(): string {
    return `p${this.page}-${this.elements.length + 1}`;
  }

  words(text: string, box: Placed, look: WordsLook = {}): this {
    const { sizePt = 10, weight = 400, isSoft = false, family = WORDS, align = 'left' } = look;
    this.add({
      kind: 'text',
      id: this.id(),
      placement: at(box),
      paragraphs: plainParagraphs(text),
      // However long a name or a remark is, all of it is read.
      fit: { to: 'frame', least: 30 },
      look: { family, weight, sizePt, leadingPt: sizePt * 1.28, align, paint: isSoft ? SOFT : INK },
    });
    return this;
  }

  rule(x: Mm, y: Mm, width: Mm, widthPt = 0.5): this {
    this.add({
      kind: 'line',
      id: this.id(),
      placement: at({ x, y, width, height: 0 }),
      stroke: { paint: INK, widthPt },
    });
    return this;
  }

  /** The outline of a rectangle. */
  frame(box: Placed, widthPt: number): this {
    this.add({
      kind: 'shape',
      id: this.id(),
      placement: at(box),
      shape: { form: 'rectangle', radius: 0 },
      fill: null,
      stroke: { paint: INK, widthPt },
    });
    return this;
  }

  /** A full area in the yellow of the sheet. */
  band(box: Placed): this {
    this.add({
      kind: 'shape',
      id: this.id(),
      placement: at(box),
      shape: { form: 'rectangle', radius: 0 },
      fill: YELLOW,
      stroke: null,
    });
    return this;
  }

  /** A QR code that says some words. */
  code(content: string, box: Placed): this {
    this.add({ kind: 'code', id: this.id(), placement: at(box), symbology: 'qr', content });
    return this;
  }

  /** A box to tick. */
  tick(x: Mm, y: Mm): this {
    this.add({
      kind: 'shape',
      id: this.id(),
      placement: at({ x, y, width: 4, height: 4 }),
      shape: { form: 'rectangle', radius: 0 },
      fill: null,
      stroke: { paint: INK, widthPt: 0.8 },
    });
    return this;
  }

  picture(sha: string, asset: PictureAsset, box: Placed): this {
    this.assets[sha] = asset;
    this.add({ kind: 'picture', id: this.id(), placement: at(box), picture: sha, fit: { mode: 'fit' } });
    return this;
  }

  /** Large words across a box, in white and in dark, so that they are seen on whatever lies beneath, and it too. */
  watermark(text: string, box: Placed): this {
    const sizePt = Math.min(96, (box.width / text.length) * 4);
    const y = box.y + box.height / 2 - HIGH / 2;
    for (const [shift, paint, opacity] of [
      [0.8, INK, 0.3],
      [0, { kind: 'paper' }, 0.45],
    ] as const)
      this.add({
        kind: 'text',
        id: this.id(),
        placement: { ...at({ x: box.x + shift, y: y + shift, width: box.width, height: HIGH }), rotate: -24 },
        opacity,
        paragraphs: plainParagraphs(text),
        look: { family: WORDS, weight: 700, sizePt, leadingPt: sizePt, align: 'centre', paint },
      });
    return this;
  }

  /** @throws Error where the page cannot be made, which is a fault of this program */
  job(id: string, name: string, language: string): Job {
    const format = formatOf('flyer');
    const about = { id, name, unit: 'mm' as const };
    const started = format && startJob(format, { size: `${WIDTH} x ${HEIGHT} mm`, sides: '1' }, about);
    if (!started?.ok) throw new Error('A page that goes along with a job cannot be made.');
    const [piece] = started.job.pieces;
    if (!piece) throw new Error('A job has at least one piece.');
    const side = withSide({ ...piece, id: `page-${this.page}` }, 'front', this.elements);
    return { ...started.job, language, assets: this.assets, pieces: [side] };
  }
}

/** Pages that were made one by one, as one job. */
export const together = ([first, ...others]: readonly [Job, ...Job[]]): Job => ({
  ...first,
  assets: Object.assign({}, first.assets, ...others.map(({ assets }) => assets)) as Job['assets'],
  pieces: [...first.pieces, ...others.flatMap(({ pieces }) => pieces)],
});

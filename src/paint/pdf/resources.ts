import type { PDFRef } from '@cantoo/pdf-lib';
import {
  pageKey,
  type GroupItem,
  type PageItem,
  type PictureItem,
  type ProcessLayer,
  type SoftMask,
} from '../../core/drawing';
import { edges, grow, type Rect } from '../../core/layout';
import {
  REGISTRATION_SPACE,
  SCREEN_SPACE,
  isFlat,
  itemsContent,
  partsContent,
  type ContentContext,
  type Form,
  type GradientInk,
  type Purpose,
  type Resources,
} from './content';
import type { UsedFont } from './fonts';
import type { Objects } from './file-writer';
import { num, textString, utf8, type Value } from './objects';
import { opacityShading, pressShading, screenShading } from './shading';
import { plateSpace, spaceKey, type Plate } from './spaces';
import type { SetDown } from './foreign-page';

/** A picture ready for a PDF. */
export interface EncodedPicture {
  readonly width: number;
  readonly height: number;
  readonly space: 'cmyk' | 'rgb' | 'grey';
  readonly bytes: Uint8Array;
  readonly filter: 'jpeg' | 'deflate';
  /** A CMYK JPEG holds its inks inverted. */
  readonly inverted: boolean;
  /** Opacity, 8 bits a pixel, deflated. */
  readonly mask?: Uint8Array;
}

/** A soft mask as a grey image over its region, 8 bits a pixel, deflated; white lets through. */
export interface EncodedMask {
  readonly width: number;
  readonly height: number;
  /** What its pixels cover, mm. */
  readonly region: Rect;
  readonly bytes: Uint8Array;
}

/** What the pool asks the request for. */
export interface PoolSource {
  readonly purpose: Purpose;
  readonly profileRef: PDFRef;
  /** Key under which two encodings of pictures are the same. */
  readonly picture: (item: PictureItem) => EncodedPicture;
  readonly softMask: (mask: SoftMask) => EncodedMask;
  readonly page: (item: PageItem) => SetDown;
  readonly font: ContentContext['font'];
}

type Named = { readonly name: string; readonly ref: PDFRef };

/** Resource dictionaries by their kind; each page and each form has its own. */
type Kind = 'Font' | 'XObject' | 'ExtGState' | 'ColorSpace' | 'Properties' | 'Shading';
type Used = Readonly<Record<Kind, Map<string, PDFRef>>>;

/**
 * Everything that content names, made once and shared by all pages: fonts, pictures, states, spots, layers, gradients,
 * groups and masks.
 */
export class ResourcePool {
  readonly fonts = new Map<string, UsedFont>();
  readonly layers = new Map<string, Named>();
  readonly shownLayers = new Set<PDFRef>();
  readonly hiddenLayers = new Set<PDFRef>();
  transparent = false;
  private readonly known = new Map<string, Named>();
  private readonly counts = new Map<string, number>();
  // Held as long as who asks for them holds them: of many records each has its own.
  private readonly pictures = new WeakMap<EncodedPicture, Named>();
  private readonly forms = new WeakMap<Form, Named>();
  private readonly spaces: ReadonlyMap<string, PDFRef>;

  constructor(
    private readonly objects: Objects,
    private readonly source: PoolSource,
  ) {
    const tint = objects.stream(
      { FunctionType: 4, Domain: [0, 1], Range: [0, 1, 0, 1, 0, 1, 0, 1] },
      utf8('{dup dup dup}'),
    );
    this.spaces = new Map([
      source.purpose.kind === 'press'
        ? [REGISTRATION_SPACE, objects.add(['Separation', 'All', 'DeviceCMYK', tint])]
        : [SCREEN_SPACE, objects.add(['ICCBased', source.profileRef])],
    ]);
  }

  /** The space in which things are mixed. */
  get blending(): Value {
    return this.spaces.get(SCREEN_SPACE) ?? 'DeviceCMYK';
  }

  /** A resource under a name of its kind, made when it is first asked for. */
  private once(prefix: string, key: string, make: () => PDFRef): Named {
    const whole = `${prefix}/${key}`;
    const before = this.known.get(whole);
    if (before) return before;
    const named = { name: this.nameFor(prefix), ref: make() };
    this.known.set(whole, named);
    return named;
  }

  private nameFor(prefix: string): string {
    const count = (this.counts.get(prefix) ?? 0) + 1;
    this.counts.set(prefix, count);
    return `${prefix}${count}`;
  }

  /** Resources for one page or form: what it names is noted in a dictionary of its own. */
  open(): { readonly context: ContentContext; readonly dictionary: () => Value } {
    const used: Used = {
      Font: new Map(),
      XObject: new Map(),
      ExtGState: new Map(),
      ColorSpace: new Map(this.spaces),
      Properties: new Map(),
      Shading: new Map(),
    };
    const note = (kind: Kind, { name, ref }: Named): string => {
      used[kind].set(name, ref);
      return name;
    };
    const resources: Resources = {
      font: (key, gid) => note('Font', this.font(key, gid)),
      stands: (key, gid, text) => this.stands(key, gid, text),
      picture: (item) => note('XObject', this.picture(item)),
      page: (item) => note('XObject', this.page(item)),
      group: (item) => note('XObject', this.group(item)),
      form: (form) => note('XObject', this.placed(form)),
      state: ({ overprint, opacity, blend, isPlain }) => {
        if (opacity < 1 || blend) this.transparent = true;
        const entries = {
          OP: overprint,
          op: overprint,
          OPM: isPlain ? 0 : 1,
          ...(isFlat(this.source.purpose) ? {} : { ca: opacity, CA: opacity, BM: blend && blendName(blend) }),
        };
        return note(
          'ExtGState',
          this.once('Gs', JSON.stringify(entries), () => this.objects.add({ Type: 'ExtGState', ...entries })),
        );
      },
      space: (plates) => note('ColorSpace', this.space(plates)),
      layer: (layer) => note('Properties', this.layer(layer)),
      shading: (ink) =>
        note(
          'Shading',
          this.once('Sh', JSON.stringify([ink.run, ink.stops, ink.overprint]), () =>
            this.objects.add(this.shading(ink)),
          ),
        ),
      fading: (ink, region) => note('ExtGState', this.fading(ink, region)),
      softMask: (mask) => note('ExtGState', this.softMask(mask)),
    };
    const dictionary = (): Value =>
      Object.fromEntries(
        Object.entries(used)
          .filter(([kind, map]) => map.size > 0 || (kind !== 'Properties' && kind !== 'Shading'))
          .map(([kind, map]) => [kind, Object.fromEntries(map)]),
      );
    return { context: { purpose: this.source.purpose, font: this.source.font, resources }, dictionary };
  }

  private font(key: string, gid: number): UsedFont {
    const font: UsedFont = this.fonts.get(key) ?? {
      name: this.nameFor('F'),
      ref: this.objects.reserve(),
      glyphs: new Map(),
    };
    this.fonts.set(key, font);
    if (!font.glyphs.has(gid)) font.glyphs.set(gid, '');
    return font;
  }

  private stands(key: string, gid: number, text: string): boolean {
    const { glyphs } = this.font(key, gid);
    // The box for a missing sign stands for many.
    if (gid === 0) return false;
    if (glyphs.get(gid) === '') glyphs.set(gid, text);
    return glyphs.get(gid) === text;
  }

  private picture(item: PictureItem): Named {
    const made = this.source.picture(item);
    if (made.mask) this.transparent = true;
    const before = this.pictures.get(made);
    if (before) return before;
    const image = { Type: 'XObject', Subtype: 'Image', Width: made.width, Height: made.height, BitsPerComponent: 8 };
    const mask =
      made.mask && this.objects.encoded({ ...image, ColorSpace: 'DeviceGray', Filter: 'FlateDecode' }, made.mask);
    const space =
      made.space === 'cmyk'
        ? 'DeviceCMYK'
        : made.space === 'grey'
          ? 'DeviceGray'
          : ['ICCBased', this.source.profileRef];
    const entries = {
      ...image,
      ColorSpace: space,
      Decode: made.inverted ? [1, 0, 1, 0, 1, 0, 1, 0] : undefined,
      SMask: mask,
      Filter: made.filter === 'jpeg' ? 'DCTDecode' : 'FlateDecode',
    };
    const named = { name: this.nameFor('Im'), ref: this.objects.encoded(entries, made.bytes) };
    this.pictures.set(made, named);
    return named;
  }

  private page(item: PageItem): Named {
    return this.once('Pg', pageKey(item), () => {
      const set = this.source.page(item);
      for (const layer of set.shown) this.shownLayers.add(layer);
      for (const layer of set.hidden) this.hiddenLayers.add(layer);
      this.transparent = true;
      return set.form;
    });
  }

  /** Items as a form that is laid on as one. */
  private group(item: GroupItem): Named {
    this.transparent = true;
    const inner = this.open();
    const content = itemsContent(item.items, inner.context);
    const form = this.form(item.region, content, inner.dictionary(), this.blending);
    return { name: this.nameFor('Fm'), ref: form };
  }

  /** What is set down many times: it paints as if it stood there itself, so it is no group. */
  private placed(form: Form): Named {
    const before = this.forms.get(form);
    if (before) return before;
    const inner = this.open();
    const content = partsContent(form.parts, inner.context);
    const ref = this.objects.stream(this.formEntries(form.region, inner.dictionary()), utf8(content));
    const named = { name: this.nameFor('Pc'), ref };
    this.forms.set(form, named);
    return named;
  }

  private formEntries(region: Rect, resources: Value) {
    const { x, y, width, height } = grow(region, edges(1));
    return { Type: 'XObject', Subtype: 'Form', BBox: [x, y, x + width, y + height], Resources: resources };
  }

  private form(region: Rect, content: string, resources: Value, space: Value): PDFRef {
    const group = { Type: 'Group', S: 'Transparency', CS: space, I: true };
    return this.objects.stream({ ...this.formEntries(region, resources), Group: group }, utf8(content));
  }

  /** A state that lets through as much as the luminosity of a form; outside the form nothing. */
  private luminosity(form: PDFRef): PDFRef {
    this.transparent = true;
    return this.objects.add({ Type: 'ExtGState', SMask: { Type: 'Mask', S: 'Luminosity', G: form, BC: [0] } });
  }

  private fading(ink: GradientInk, region: Rect): Named {
    return this.once('Gf', JSON.stringify([ink.run, ink.stops.map(({ at, opacity }) => [at, opacity]), region]), () => {
      const shading = this.objects.add(opacityShading(ink));
      return this.luminosity(this.form(region, '/Sh sh\n', { Shading: { Sh: shading } }, 'DeviceGray'));
    });
  }

  private softMask(mask: SoftMask): Named {
    const { width, height, region: r, bytes } = this.source.softMask(mask);
    const image = this.objects.encoded(
      {
        Type: 'XObject',
        Subtype: 'Image',
        Width: width,
        Height: height,
        BitsPerComponent: 8,
        ColorSpace: 'DeviceGray',
        Interpolate: true,
        Filter: 'FlateDecode',
      },
      bytes,
    );
    const square = [r.width, 0, 0, -r.height, r.x, r.y + r.height].map(num).join(' ');
    const form = this.form(r, `q\n${square} cm\n/Im Do\nQ\n`, { XObject: { Im: image } }, 'DeviceGray');
    return { name: this.nameFor('Gm'), ref: this.luminosity(form) };
  }

  private space(plates: readonly Plate[]): Named {
    return this.once('CsSpot', spaceKey(plates), () => this.objects.add(plateSpace(plates, this.objects)));
  }

  private shading(ink: GradientInk): Value {
    const { purpose } = this.source;
    return purpose.kind === 'press'
      ? pressShading(ink, (plates) => this.space(plates).ref)
      : screenShading(ink, purpose.toRgb, this.spaces.get(SCREEN_SPACE));
  }

  private layer(layer: ProcessLayer): Named {
    // A house may want two processes on one plate; each still says what it is for.
    const key = JSON.stringify([layer.name, layer.step]);
    const named = this.layers.get(key) ?? { name: this.nameFor('Oc'), ref: this.objects.add(optionalContent(layer)) };
    this.layers.set(key, named);
    return named;
  }
}

/** A blend mode as PDF names it: `color-burn` is `ColorBurn`. */
const blendName = (blend: string): string => blend.replace(/(^|-)([a-z])/g, (_, __, c: string) => c.toUpperCase());

/** A layer with the processing step that it carries (ISO 19593-1; key names from memory). */
const optionalContent = ({ name, step }: ProcessLayer): Value => ({
  Type: 'OCG',
  Name: textString(name),
  Intent: 'View',
  GTS_Metadata: { GTS_ProcStepsGroup: step.group, GTS_ProcStepsType: step.type },
});

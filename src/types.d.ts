// Packages that come without types: only what is used here, as their sources have it.

declare module 'hyphen/*' {
  const patterns: {
    readonly hyphenateSync: (
      text: string,
      options?: {
        readonly hyphenChar?: string;
        readonly minWordLength?: number;
        readonly exceptions?: readonly string[];
      },
    ) => string;
  };
  export default patterns;
}

declare module 'linebreak' {
  export default class LineBreaker {
    constructor(text: string);
    nextBreak(): { readonly position: number; readonly required: boolean } | null;
  }
}

declare module 'lcms-wasm' {
  interface LittleCms {
    cmsOpenProfileFromMem(bytes: Uint8Array, length: number): number;
    cmsCloseProfile(profile: number): void;
    cmsGetColorSpaceASCII(profile: number): string;
    cmsGetProfileInfoASCII(profile: number, info: number, language: string, country: string): string;
    cmsFormatterForColorspaceOfProfile(profile: number, bytes: number, isFloat: boolean): number;
    cmsCreate_sRGBProfile(): number;
    cmsCreateLab4Profile(whitePoint: unknown): number;
    cmsCreateTransform(
      input: number,
      inputFormat: number,
      output: number,
      outputFormat: number,
      intent: number,
      flags: number,
    ): number;
    cmsDoTransform(
      transform: number,
      pixels: Uint8Array | Uint16Array,
      count: number,
    ): Uint8Array | Uint16Array | Float32Array;
    cmsDeleteTransform(transform: number): void;
  }
  export function instantiate(options?: {
    readonly locateFile?: (name: string) => string;
    readonly wasmBinary?: Uint8Array;
  }): Promise<LittleCms>;
  export const cmsInfoDescription: number;
  export const INTENT_RELATIVE_COLORIMETRIC: number;
  export const cmsFLAGS_BLACKPOINTCOMPENSATION: number;
  export const cmsFLAGS_NOOPTIMIZE: number;
  export const cmsFLAGS_HIGHRESPRECALC: number;
}

declare module 'fontkit' {
  export interface OpenedFont {
    readonly unitsPerEm: number;
    layout(text: string): {
      readonly positions: readonly { readonly xAdvance: number }[];
      readonly glyphs: readonly {
        readonly id: number;
        readonly bbox: { readonly minY: number; readonly maxY: number };
      }[];
    };
  }
  export function create(bytes: Uint8Array): OpenedFont;
}

declare module 'dxf' {
  /** Angles in radians. */
  export interface DxfEntity {
    readonly type?: string;
    readonly block?: string;
    readonly rowCount?: number;
    readonly columnCount?: number;
    readonly startAngle?: number;
    readonly endAngle?: number;
  }

  export interface DxfFile {
    readonly header: { readonly insUnits?: number };
    readonly entities: readonly DxfEntity[];
    readonly blocks: readonly { readonly name?: string; readonly entities?: readonly DxfEntity[] }[];
  }

  /** A DXF file as read; only what the outline reader asks for. */
  export class Helper {
    constructor(text: string);
    readonly parsed: DxfFile;
    toPolylines(): { readonly polylines: readonly { readonly vertices: readonly (readonly [number, number])[] }[] };
  }
}

/** Pixels that a picture is used at. */
export interface PictureSize {
  readonly width: number;
  readonly height: number;
}

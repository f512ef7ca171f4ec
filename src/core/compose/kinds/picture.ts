import type { PictureElement } from '../../element';
import { pictureAsset } from '../../job';
import { naturalSize } from '../fit-picture';
import { composePicture } from '../picture';
import { defineComposedKind, inProportion, plain } from './define';

export const picture = defineComposedKind<PictureElement>({
  ...plain,
  compose: composePicture,
  size: (element, axis, other, { assets, ppi }) => {
    const asset = pictureAsset(assets, element.picture);
    return inProportion(asset && naturalSize(asset, ppi), axis, other);
  },
});

import type { PageElement } from '../../element';
import { composePage } from '../page';
import { defineComposedKind, inProportion, plain } from './define';

export const page = defineComposedKind<PageElement>({
  ...plain,
  compose: composePage,
  size: (element, axis, other, { assets }) => {
    const asset = assets[element.document];
    return inProportion(asset?.kind === 'document' ? asset.pages[element.page - 1] : undefined, axis, other);
  },
});

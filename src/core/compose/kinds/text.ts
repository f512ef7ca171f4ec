import type { TextElement } from '../../element';
import { composeTextFrame, textSize } from '../text';
import { defineComposedKind, emptyBody, plain } from './define';

export const text = defineComposedKind<TextElement>({
  ...plain,
  compose: (element, setting, context) => {
    const story = context.story(element.id);
    return story ? composeTextFrame(element, setting, context, story) : emptyBody(setting);
  },
  size: textSize,
  // Along a shape it stands where the shape does.
  dependsOn: ({ id, along }, { story, boxes }) => [story(id), along === null ? undefined : boxes],
});

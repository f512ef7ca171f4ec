import { spineWrap } from './spine-wrap';

export const wrap = spineWrap(
  { kind: 'wrap', title: 'Wrap with a spine', about: 'Back, spine and front in one piece, read from the outside.' },
  ['130 x 184 mm', '5.125 x 7.25 in'],
  ['13 mm', '1/2 in'],
);

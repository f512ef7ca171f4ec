import { spineWrap } from './spine-wrap';

export const discSleeve = spineWrap(
  { kind: 'disc-sleeve', title: 'Disc sleeve', about: 'A wrap for a case that holds a disc: back, spine, front.' },
  ['130 x 184 mm', '130 x 184 mm'],
  ['13 mm', '13 mm'],
);

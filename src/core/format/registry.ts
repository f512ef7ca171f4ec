import { banner } from './banner';
import { bellyBand } from './belly-band';
import { bookCover } from './book-cover';
import { booklet } from './booklet';
import { bookmark } from './bookmark';
import { brochure } from './brochure';
import { businessCard } from './business-card';
import { card } from './card';
import { caseInsert } from './case-insert';
import { catalogue } from './catalogue';
import { complimentSlip } from './compliment-slip';
import { cv } from './cv';
import { discSleeve } from './disc-sleeve';
import { doorHanger } from './door-hanger';
import { envelope } from './envelope';
import { flyer } from './flyer';
import { foldedCard } from './folded-card';
import type { Format } from './format';
import { hangTag } from './hang-tag';
import { invitation } from './invitation';
import { labels } from './labels';
import { letterhead } from './letterhead';
import { map } from './map';
import { notepad } from './notepad';
import { own } from './own';
import { pocketFolder } from './pocket-folder';
import { postcard } from './postcard';
import { poster } from './poster';
import { rollLabels } from './roll-labels';
import { rollUp } from './roll-up';
import { ruledPaper } from './ruled-paper';
import { sticker } from './sticker';
import { tableTent } from './table-tent';
import { tuckBox } from './tuck-box';
import { wallCalendar } from './wall-calendar';
import { worksheet } from './worksheet';
import { wrap } from './wrap';
import { wristband } from './wristband';

/** Every kind of piece, in the order a shop thinks of them. */
export const FORMATS: readonly Format[] = [
  flyer,
  poster,
  postcard,
  card,
  invitation,
  businessCard,
  bookmark,
  letterhead,
  complimentSlip,
  envelope,
  cv,
  notepad,
  ruledPaper,
  worksheet,
  brochure,
  map,
  foldedCard,
  booklet,
  catalogue,
  wallCalendar,
  wrap,
  discSleeve,
  caseInsert,
  bookCover,
  bellyBand,
  banner,
  rollUp,
  labels,
  rollLabels,
  wristband,
  sticker,
  hangTag,
  doorHanger,
  tableTent,
  pocketFolder,
  tuckBox,
  own,
];

const BY_KIND = new Map(FORMATS.map((f) => [f.kind, f]));

export const formatOf = (kind: string): Format | undefined => BY_KIND.get(kind);

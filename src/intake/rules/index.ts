import type { IntakeRule } from '../rule';
import { annotationsRule } from './annotations';
import { besidePageRule } from './beside-page';
import { blackTypeRule } from './black-type';
import { blankPageRule } from './blank-page';
import { bleedSmallRule } from './bleed-small';
import { boxesNestedRule } from './boxes-nested';
import { colourOverprintsRule } from './colour-overprints';
import { fontsMissingRule } from './fonts-missing';
import { glyphsMissingRule } from './glyphs-missing';
import { inkHeavyRule } from './ink-heavy';
import { intentRule } from './intent';
import { layersOffRule } from './layers-off';
import { lineKnocksOutRule } from './line-knocks-out';
import { lineThinRule } from './line-thin';
import { marksInBleedRule } from './marks-in-bleed';
import { pageCountRule } from './page-count';
import { pageSizesRule } from './page-sizes';
import { pictureCoarseRule } from './picture-coarse';
import { pictureFineRule } from './picture-fine';
import { registrationRule } from './registration';
import { rgbRule } from './rgb';
import { scriptsRule } from './scripts';
import { spotsRule } from './spots';
import { standardRule } from './standard';
import { stopsAtTrimRule } from './stops-at-trim';
import { textInvisibleRule } from './text-invisible';
import { transparencyRule } from './transparency';
import { trimMissingRule } from './trim-missing';
import { typeNearTrimRule } from './type-near-trim';
import { typeSmallRule } from './type-small';
import { unreadableRule } from './unreadable';
import { whiteOverprintsRule } from './white-overprints';

/** What a house looks at, in the order in which a reply reads best. */
export const INTAKE_RULES: readonly IntakeRule[] = [
  unreadableRule,
  pageCountRule,
  pageSizesRule,
  trimMissingRule,
  boxesNestedRule,
  bleedSmallRule,
  stopsAtTrimRule,
  typeNearTrimRule,
  fontsMissingRule,
  glyphsMissingRule,
  typeSmallRule,
  blackTypeRule,
  lineThinRule,
  pictureCoarseRule,
  pictureFineRule,
  rgbRule,
  inkHeavyRule,
  spotsRule,
  registrationRule,
  marksInBleedRule,
  lineKnocksOutRule,
  whiteOverprintsRule,
  colourOverprintsRule,
  transparencyRule,
  layersOffRule,
  annotationsRule,
  scriptsRule,
  intentRule,
  standardRule,
  blankPageRule,
  besidePageRule,
  textInvisibleRule,
];

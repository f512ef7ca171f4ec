import type { IntakeRule } from '../rule';
import { annotationsRule } from './annotations';
import { blackTypeRule } from './black-type';
import { blankPageRule } from './blank-page';
import { bleedSmallRule } from './bleed-small';
import { boxesNestedRule } from './boxes-nested';
import { fontsMissingRule } from './fonts-missing';
import { inkHeavyRule } from './ink-heavy';
import { intentRule } from './intent';
import { layersOffRule } from './layers-off';
import { lineThinRule } from './line-thin';
import { pageCountRule } from './page-count';
import { pageSizesRule } from './page-sizes';
import { pictureCoarseRule } from './picture-coarse';
import { registrationRule } from './registration';
import { rgbRule } from './rgb';
import { scriptsRule } from './scripts';
import { spotsRule } from './spots';
import { standardRule } from './standard';
import { stopsAtTrimRule } from './stops-at-trim';
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
  typeSmallRule,
  blackTypeRule,
  lineThinRule,
  pictureCoarseRule,
  rgbRule,
  inkHeavyRule,
  spotsRule,
  registrationRule,
  whiteOverprintsRule,
  transparencyRule,
  layersOffRule,
  annotationsRule,
  scriptsRule,
  intentRule,
  standardRule,
  blankPageRule,
];

import { FORMATS, type Format } from '../../core/format';
import { parametersOf } from '../../core/job';
import { describeParameters } from '../describe-parameters';
import { print } from '../say';

/** The formats and their decisions, as a program would want to read them. */
export function run(): number {
  print(FORMATS.map(describeFormat));
  return 0;
}

const describeFormat = (format: Format) => ({
  kind: format.kind,
  title: format.title,
  about: format.about,
  parameters: describeParameters(parametersOf(format)),
});

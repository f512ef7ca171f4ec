import { jobJsonSchema } from '../../core/job';
import { print } from '../say';

/** The JSON Schema of a job file. */
export function run(): number {
  print(jobJsonSchema());
  return 0;
}

// How the unit tests find their modules: TypeScript as it is written, and for a few what ships or what stands in for
// it.
import { register } from 'node:module';
import { register as readTypeScript } from 'tsx/esm/api';

readTypeScript();
register('./test-hooks.mjs', import.meta.url);

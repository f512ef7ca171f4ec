import type { Format } from '../core/format';

/** Decisions, as a program would want to read them. */
export const describeParameters = (parameters: Format['parameters']) =>
  Object.entries(parameters).map(([name, p]) => ({
    name,
    label: p.label,
    kind: p.kind,
    help: p.help,
    default: p.default?.metric ?? null,
    defaultInInches: p.default?.imperial ?? null,
    ...(p.options && { options: p.options.map((o) => o.value) }),
    ...(p.least !== undefined && { least: p.least }),
    ...(p.most !== undefined && { most: p.most }),
  }));

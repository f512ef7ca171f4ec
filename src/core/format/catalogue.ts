import type { Figure } from '../figure';
import { assertInner, assertPages, creepOf, type Binding } from './binding';
import { defineFormat, type FormatContext, type SurfacePlan } from './format';
import { panelRow } from './panel-row';
import { choice, count, length, size, solvedLength } from '../parameter';
import { pageSurfaces, wireBinding } from './pages';
import { otherFace, upright } from './sides';

export const catalogue = defineFormat({
  kind: 'catalogue',
  title: 'Catalogue or book',
  about: 'Pages with a cover of its own: stitched, perfect-bound with a spine, or wire-bound.',
  group: 'bound',
  parameters: {
    size: size('Page size', ['A4', 'letter'], 'Trimmed page; width x height.'),
    pages: count('Pages', '64', 'Inside the cover.', 1, 1200),
    binding: choice('Binding', 'perfect', 'How it is held together.', {
      perfect: 'perfect bound',
      saddle: 'saddle stitched',
      wire: 'wire bound',
    }),
    thickness: solvedLength('Paper thickness', 'Of an inside sheet; left out, the job’s paper.', {
      least: 0.01,
      most: 2,
    }),
    'cover-allowance': length('Cover allowance', '0 mm', 'What the binder adds to the spine for glue and cover.', {
      most: 20,
      when: (v) => v['binding'] === 'perfect',
    }),
    hinge: length('Hinge', '6 mm', 'Score beside the spine where the cover opens; 0 for none.', {
      most: 20,
      when: (v) => v['binding'] === 'perfect',
    }),
    inner: length('Inner margin', '8 mm', 'Kept clear at the binding beyond the safe margin.', { most: 60 }),
    pitch: length('Wire pitch', ['8.467 mm', '1/3 in'], 'From hole to hole: 3:1 wire is 1/3 in, 2:1 is 1/2 in.', {
      least: 4,
      most: 30,
      when: (v) => v['binding'] === 'wire',
    }),
  },
  plan: (d, context) => {
    assertPages(d.binding, d.pages, 'cover');
    assertInner(d.inner, d.size.width, context.write);
    const caliper = d.thickness ?? context.rules.thickness.value;
    const leaves = d.pages / 2;
    const spine = d.binding === 'perfect' ? leaves * caliper + d['cover-allowance'] : 0;
    const wire = d.binding === 'wire' ? wireBinding(d.size.height, 12, d.pitch) : undefined;
    const row = panelRow(
      [
        { name: 'back cover', width: d.size.width },
        { name: 'spine', width: spine },
        { name: 'front cover', width: d.size.width, ...(spine === 0 && { turn: 180 }) },
      ],
      d.size.height,
      'score',
      context,
      { fixed: 1, rule: 'Back, spine and front in one flat piece, read from the outside' },
    );
    const hinges =
      d.binding === 'perfect' && d.hinge > 0 ? [d.size.width - d.hinge, d.size.width + spine + d.hinge] : [];
    const face = {
      panels: row.panels,
      processLines: [...row.creases, ...hinges.map((x) => upright('score', x, d.size.height))],
    };
    const flat = { width: row.width, height: d.size.height };
    const covers: readonly SurfacePlan[] = wire
      ? [
          { name: 'front cover', size: d.size, processLines: wire.processLines, zones: wire.zones },
          {
            name: 'back cover',
            size: d.size,
            ...otherFace({ processLines: wire.processLines, zones: wire.zones }, d.size.width),
          },
        ]
      : [
          { name: 'cover outside', size: flat, ...face },
          { name: 'cover inside', size: flat, ...otherFace(face, row.width) },
        ];
    return {
      finished: d.size,
      flat: wire ? d.size : flat,
      surfaces: [...covers, ...pageSurfaces(d.size, d.pages, d.inner, wire)],
      bound: d.binding,
      ...(!wire && { folding: { ...row.folding, up: 'cover outside', down: 'cover inside' } }),
      figures: figures(
        d.binding,
        d.pages,
        caliper,
        d['cover-allowance'],
        spine,
        {
          ...row.figure,
          measured: {
            kind: 'stops',
            axis: 'x',
            stops: [0, d.size.width, d.size.width + spine, row.width],
            surface: 'cover outside',
          },
        },
        wire?.count,
        context,
      ),
    };
  },
});

function figures(
  binding: Binding,
  pages: number,
  caliper: number,
  allowance: number,
  spine: number,
  cover: Figure,
  holes: number | undefined,
  { write }: FormatContext,
): readonly Figure[] {
  const leaves = pages / 2;
  const common: Figure = {
    id: 'leaves',
    group: 'panels',
    name: 'Leaves',
    value: leaves,
    unit: 'count',
    working: [`${pages} pages ÷ 2 = ${leaves} leaves; page 1 is a right-hand page`],
    rule: 'A leaf has two pages',
  };
  switch (binding) {
    case 'perfect':
      return [
        common,
        {
          id: 'spine',
          group: 'panels',
          name: 'Spine',
          value: spine,
          unit: 'mm',
          working: [`${leaves} × ${write(caliper)} + ${write(allowance)} = ${write(spine)}`],
          rule: 'Leaves × thickness + what the binder adds (common practice)',
          ...(cover.measured && { measured: cover.measured }),
        },
        { ...cover, name: 'Cover, outside' },
      ];
    case 'saddle': {
      const creep = creepOf(pages / 4, caliper);
      return [
        common,
        {
          id: 'creep',
          group: 'panels',
          name: 'Creep, innermost',
          value: creep.at(-1) ?? 0,
          unit: 'mm',
          working: creep.map((mm, i) => `sheet ${i + 1}: ${i} × ${write(caliper)} = ${write(mm)}`),
          rule: 'Each sheet further in stands out by about its thickness (common practice)',
        },
        { ...cover, name: 'Cover, outside' },
      ];
    }
    case 'wire':
      return [
        common,
        {
          id: 'holes',
          group: 'panels',
          name: 'Wire holes',
          value: holes ?? 0,
          unit: 'count',
          working: [`as many as the edge takes at the pitch, centred: ${holes ?? 0}`],
          rule: 'The wire’s pitch',
        },
      ];
  }
}

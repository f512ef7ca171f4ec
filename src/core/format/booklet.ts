import { assertInner, assertPages, creepOf } from './binding';
import { defineFormat } from './format';
import { count, length, size } from '../parameter';
import { pageSurfaces } from './pages';

export const booklet = defineFormat({
  kind: 'booklet',
  title: 'Booklet',
  about: 'Folded sheets stitched through the spine, its cover from the same paper.',
  group: 'bound',
  parameters: {
    size: size('Page size', ['A5', 'half letter'], 'Trimmed page; width x height.'),
    pages: count('Pages', '16', 'Covers counted; in fours.', 1, 400),
    inner: length('Inner margin', '5 mm', 'Kept clear at the fold beyond the safe margin.', { most: 60 }),
  },
  plan: (d, { rules, write }) => {
    assertPages('saddle', d.pages);
    assertInner(d.inner, d.size.width, write);
    const sheets = d.pages / 4;
    const caliper = rules.thickness.value;
    const creep = creepOf(sheets, caliper);
    const most = creep.at(-1) ?? 0;
    return {
      finished: d.size,
      flat: { width: 2 * d.size.width, height: d.size.height },
      surfaces: pageSurfaces(d.size, d.pages, d.inner),
      bound: 'saddle',
      figures: [
        {
          id: 'sheets',
          group: 'panels',
          name: 'Sheets',
          value: sheets,
          unit: 'count',
          working: [`${d.pages} pages ÷ 4 = ${sheets} sheets of ${write(2 * d.size.width)} × ${write(d.size.height)}`],
          rule: 'A sheet folded once is four pages',
        },
        {
          id: 'creep',
          group: 'panels',
          name: 'Creep, innermost',
          value: most,
          unit: 'mm',
          working: creep.map((mm, i) => `sheet ${i + 1}: ${i} × ${write(caliper)} = ${write(mm)}`),
          rule: 'Each sheet further in stands out by about its thickness (common practice)',
        },
      ],
      problems:
        most > 1
          ? [
              {
                severity: 'warning',
                parameter: 'pages',
                message:
                  `The innermost sheet creeps ${write(most)}: move the inner pages toward the fold by that, or ` +
                  'bind it otherwise.',
              },
            ]
          : [],
    };
  },
});

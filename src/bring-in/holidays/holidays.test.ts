/** Holidays against another package, python3-holidays of Debian: days that it knows are known. */
import { civilOf, weekdayOf } from '../../core/dates';
import { python } from '../../testing/programs';
import { holidaysOf, isRegion } from './index';

const YEARS = Array.from({ length: 10 }, (_, i) => 2021 + i);

/** Region, what the other package calls it, and days that it has and that are none. */
const REGIONS: readonly (readonly [region: string, theirs: string, none: readonly string[]])[] = [
  ['DE-BE', "Germany(prov='BE', years=years)", []],
  // The spring bank holiday of 2022 was moved to 2 June.
  ['GB-ENG', 'England(years=years)', ['2022-05-30']],
  ['US', 'UnitedStates(years=years)', []],
  ['FR', 'France(years=years)', []],
  // A day off in some trades only, every fifth year.
  ['NL', 'Netherlands(years=years)', ['2025-05-05']],
  ['AT', 'Austria(years=years)', []],
  ['PL', 'Poland(years=years)', []],
  ['CZ', 'Czechia(years=years)', []],
  ['FI', 'Finland(years=years)', []],
  ['PT', 'Portugal(years=years)', []],
  ['BE', 'Belgium(years=years)', []],
  ['IT', 'Italy(years=years)', []],
  // Great Prayer Day was abolished with 2024, after that release of the package.
  [
    'DK',
    'Denmark(years=years)',
    ['2024-04-26', '2025-05-16', '2026-05-01', '2027-04-23', '2028-05-12', '2029-04-27', '2030-05-17'],
  ],
];

const theirs = python(
  `
import holidays
years = data["years"]
found = {}
for region, call in data["regions"]:
    made = eval("holidays." + call, {"holidays": holidays, "years": years})
    found[region] = sorted(day.isoformat() for day in made if day.weekday() < 5)
print(json.dumps(found))
`,
  { years: YEARS, regions: REGIONS.map(([region, call]) => [region, call]) },
) as Readonly<Record<string, readonly string[]>>;

test.each(REGIONS)('%s: every holiday on a working day of ten years is known', (region, _call, none) => {
  const ours = new Set(
    YEARS.flatMap((year) => holidaysOf(region, year, 'en')).map(({ day }) => {
      const { year, month, day: d } = civilOf(day);
      return `${year}-${String(month).padStart(2, '0')}-${String(d).padStart(2, '0')}`;
    }),
  );
  const missing = (theirs[region] ?? []).filter((day) => !ours.has(day) && !none.includes(day));
  expect(theirs[region]?.length).toBeGreaterThan(50);
  expect(missing).toEqual([]);
});

test('what is no region has none, and a holiday has a name in the language that was asked for', () => {
  expect(isRegion('XX')).toBe(false);
  expect(isRegion('GB-NOWHERE')).toBe(false);
  expect(holidaysOf('XX', 2027, 'en')).toEqual([]);
  expect(holidaysOf('DE-BY', 1400, 'de')).toEqual([]);
  const [first] = holidaysOf('DE', 2027, 'de');
  expect(first?.name).toBe('Neujahr');
  expect(holidaysOf('DE', 2027, 'de').every(({ day }) => weekdayOf(day) >= 1)).toBe(true);
});

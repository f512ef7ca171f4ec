/** Whether everything is to be tried (`npm run test:all`), or in a common run what stands for it. */
export const IS_ALL = process.env['YS_ALL'] !== undefined;

/** What of a list is tried: everything, or in a common run the first of so many that are alike. */
export const some = <T>(list: readonly T[], many: number): readonly T[] =>
  IS_ALL ? list : list.filter((_, i) => i % many === 0);

/** How often something random is tried: in a common run so many times less. */
export const runs = (all: number, less: number): number => (IS_ALL ? all : Math.ceil(all / less));

/** A test that is only run where everything is tried: another stands for it in a common run. */
export function testOfAll(name: string, run: Parameters<typeof test>[1]): void {
  (IS_ALL ? test : test.skip)(name, run);
}

import { defineExport } from './define';

export const docket = defineExport({
  kind: 'docket',
  label: 'Docket',
  about: 'The sheet as pages for the job bag: picture, days, what is done to it, figures, a code',
  isCarried: true,
  make: async ({ desk, at, revision, progress }) => {
    const { docketFile } = await import('../docket');
    const file = await docketFile(await desk(), { at, revision });
    progress(1, 'Done');
    return [file];
  },
});

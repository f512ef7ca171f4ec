import { defineExport } from './define';
import { sheets } from './sheets';

export const handOver = defineExport({
  kind: 'hand-over',
  label: 'Hand-over',
  about: 'zip of all files for the house, with hashes and a letter',
  isOfRevision: true,
  make: async (making) => {
    const { handOverFile } = await import('../hand-over');
    return [await handOverFile(making, sheets.make)];
  },
});

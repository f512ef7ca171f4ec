import { defineExport } from './define';

export const proof = defineExport({
  kind: 'proof',
  label: 'Proof',
  about: 'PDF for the client: each side with its figures, and boxes to tick',
  make: async ({ desk, at, revision, progress }) => {
    const { proofFile } = await import('../proof');
    return [await proofFile(await desk(), { at, revision }, progress)];
  },
});

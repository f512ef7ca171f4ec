import { perPage, type IntakeRule } from '../rule';

/** Transparency wants a reader that knows it: PDF 1.4 and later. */
export const transparencyRule: IntakeRule = {
  id: 'transparency',
  title: 'Transparency',
  wish: () => 'Live transparency in a file that says PDF 1.4 or later.',
  look: ({ file }) =>
    Number(file.version) >= 1.4
      ? []
      : perPage(
          file.painted.filter((thing) => thing.isTransparent),
          () => ({
            weight: 'warning',
            found: `Something is transparent in a file of version ${file.version}.`,
          }),
        ),
};

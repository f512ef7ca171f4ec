/** Whether everything is to be tried (`npm run test:all`), or in a common run what stands for it. */
export const IS_ALL = process.env['YS_ALL'] !== undefined;

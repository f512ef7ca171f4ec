/**
 * Where a page finds a file that ships with the application: under a name that changes with what it holds, so that a
 * browser keeps it for good and never asks for it twice. The name is made when the application is built
 * (next.config.ts).
 * @param path as it lies in public/, with a slash before it
 */
export const shippedAt = (path: string): string => {
  const digest = process.env['NEXT_PUBLIC_SHIPPED'];
  return digest === undefined ? path : `/shipped/${digest}${path}`;
};

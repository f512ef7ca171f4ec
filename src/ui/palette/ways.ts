/** The keys with arrows, with the step of each: to the right, down. */
export const WAYS = [
  ['Left', -1, 0],
  ['Right', 1, 0],
  ['Up', 0, -1],
  ['Down', 0, 1],
] as const;

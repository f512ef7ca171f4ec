/** The society’s colours, as builds a person types. */
export const INK = '88 78 38 36';
export const PALE = '2 6 26 0';
export const YELLOW = '0 14 78 0';
export const EMBER = '4 62 68 0';

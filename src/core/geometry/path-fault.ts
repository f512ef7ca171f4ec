/** What svgpath found wrong with path data, in words; empty where nothing. Its types do not show it. */
export const pathFault = (parsed: object): string =>
  'err' in parsed && typeof parsed.err === 'string' ? parsed.err.replace(/^SvgPath: /, '') : '';

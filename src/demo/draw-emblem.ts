/** The society’s emblem and the small pictures beside its lists, as drawings of plain shapes. */

/** A hill with a dome under three stars and a crescent, in two colours. */
export const EMBLEM =
  '<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="60mm" viewBox="0 0 120 120">\n' +
  '<g fill="#1f2b5a">\n' +
  '<path d="M60 4A56 56 0 1 0 60 116A56 56 0 1 0 60 4ZM60 10A50 50 0 1 1 60 110A50 50 0 1 1 60 10Z" ' +
  'fill-rule="evenodd"/>\n' +
  '<path d="M11.9 82.3C28 69 40 66 54 72C70 79 88 74 108.1 82.3A53 53 0 0 1 11.9 82.3Z"/>\n' +
  '<path d="M43 70V62A17 17 0 0 1 56 45.5L62 70ZM64.5 70L59.4 45A17 17 0 0 1 77 62V70Z"/>\n' +
  '</g>\n' +
  '<g fill="#d9a21b">\n' +
  '<path d="M88 24A16 16 0 1 0 96 50A13 13 0 1 1 88 24Z"/>\n' +
  '<path d="M34 26L36 32L42 34L36 36L34 42L32 36L26 34L32 32Z"/><path d="M58 20L59.5 24.5L64 26L59.5 27.5L58 ' +
  '32L56.5 27.5L52 26L56.5 24.5Z"/><path d="M24 52L25.2 55.8L29 57L25.2 58.2L24 62L22.8 58.2L19 57L22.8 ' +
  '55.8Z"/>\n' +
  '</g></svg>';

const icon = (inside: string): string =>
  '<svg xmlns="http://www.w3.org/2000/svg" width="12mm" height="12mm" viewBox="0 0 48 48"><g fill="none" ' +
  `stroke="#1f2b5a" stroke-width="3" stroke-linecap="round" stroke-linejoin="round">${inside}</g></svg>`;

/** Each as a drawing of 12 mm. */
export const ICONS = {
  telescope: icon(
    '<path d="M6 26L34 12L39 21L11 35Z"/><path d="M24 29L16 43M26 29L34 43M25 29V44"/><path d="M36 13L41 ' +
      '10L45 18L40 20"/>',
  ),
  eye: icon('<path d="M4 24Q24 6 44 24Q24 42 4 24Z"/><circle cx="24" cy="24" r="7"/>'),
  lamp: icon('<path d="M17 6H31L35 18H13Z"/><path d="M24 18V34M14 42H34M24 34L14 42M24 34L34 42"/>'),
  people: icon(
    '<circle cx="16" cy="15" r="6"/><circle cx="33" cy="17" r="5"/><path d="M5 40Q6 26 16 26Q26 26 27 40M29 ' +
      '27Q42 25 43 40"/>',
  ),
  book: icon('<path d="M24 12Q15 6 5 9V38Q15 35 24 41Q33 35 43 38V9Q33 6 24 12ZM24 12V41"/>'),
  bus: icon(
    '<path d="M7 10H41V35H7ZM7 22H41M18 10V22M30 10V22"/><circle cx="15" cy="38" r="4"/><circle cx="33" ' +
      'cy="38" r="4"/>',
  ),
} as const;

export type Icon = keyof typeof ICONS;

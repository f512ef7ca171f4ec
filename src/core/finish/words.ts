import type { Course, CoatSource, Finishing } from './schema';

/** What a line or a coating follows, in words. @param nameOf an element’s name */
export function followsWords(finishing: Finishing, nameOf: (id: string) => string | undefined): string {
  switch (finishing.does) {
    case 'line':
      return courseWords(finishing.course, nameOf);
    case 'coat':
      return sourceWords(finishing.of, nameOf);
    case 'flood':
      return 'all over: a note for the printer, no plate';
  }
}

function named(ids: readonly string[], nameOf: (id: string) => string | undefined): string {
  const [first = ''] = ids;
  const name = nameOf(first) ?? 'something that is gone';
  return ids.length > 1 ? `${name} and ${ids.length - 1} more` : name;
}

function courseWords(course: Course, nameOf: (id: string) => string | undefined): string {
  switch (course.course) {
    case 'straight':
      return `straight, ${course.way}`;
    case 'divide':
      return `${course.into} equal parts, ${course.way}`;
    case 'outline':
      return `along ${named(course.elements, nameOf)}`;
    case 'drawing':
      return 'as brought in';
  }
}

function sourceWords(of: CoatSource, nameOf: (id: string) => string | undefined): string {
  switch (of.from) {
    case 'elements':
      return named(of.elements, nameOf);
    case 'picture':
      return `shapes in ${nameOf(of.element) ?? 'a picture that is gone'}`;
    case 'paint':
      return 'everything of one colour';
    case 'artwork':
      return 'everything that is printed';
    case 'side':
      return 'the whole side';
    case 'drawing':
      return 'as brought in';
  }
}

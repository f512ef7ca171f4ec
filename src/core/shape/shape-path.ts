import { extentOf, mmOf, type Form, type Measures } from '../element';
import { ellipsePath, rectPath, type Path, type Rect } from '../layout';
import { arcPath } from './arc';
import { arrowPath } from './arrow';
import { bubblePath } from './bubble';
import { readPathData, stretched } from './path-data';
import { regularPolygon, starPath } from './polygon';
import { ribbonPath } from './ribbon';

/** The outline of a form in its box, mm. */
export function shapePath(form: Form, r: Rect, measures: Measures): Path {
  const mm = (extent: Parameters<typeof extentOf>[0]) => extentOf(extent, measures);
  switch (form.form) {
    case 'rectangle': {
      const { radius } = form;
      if (!Array.isArray(radius)) return rectPath(r, mm(radius));
      const [tl, tr, br, bl] = radius;
      return rectPath(r, [mm(tl), mm(tr), mm(br), mm(bl)]);
    }
    case 'ellipse':
      return ellipsePath(r);
    case 'polygon':
      return regularPolygon(r, form.sides);
    case 'star':
      return starPath(r, form.points, form.inner / 100);
    case 'arc':
      return arcPath(r, form);
    case 'arrow':
      return arrowPath(r, {
        shaft: mm(form.shaft),
        head: mm(form.head),
        tail: form.tail,
        bend: mmOf(form.bend, measures),
      });
    case 'ribbon':
      return ribbonPath(r, form.left, form.right, mm(form.depth));
    case 'bubble':
      return bubblePath(r, {
        radius: mm(form.radius),
        side: form.side,
        at: form.at / 100,
        width: mm(form.width),
        length: mm(form.length),
        lean: mmOf(form.lean, measures),
      });
    case 'path': {
      const read = readPathData(form.data);
      return read.ok ? stretched(read.path, r) : [];
    }
  }
}

/** Whether the form has an inside to fill and to lie in or out of. */
export const isClosed = (form: Form): boolean =>
  form.form === 'arc' ? form.ends !== 'open' : form.form === 'path' ? form.data.trimEnd().endsWith('Z') : true;

import type { TableElement } from '../../element';
import { tableSize, tableTracks } from '../set-table';
import { composeTable } from '../table';
import { defineComposedKind, emptyBody, plain } from './define';

export const table = defineComposedKind<TableElement>({
  ...plain,
  compose: (element, setting, context) => {
    const set = context.table(element.id);
    return set ? composeTable(element, setting, context, set) : emptyBody(setting);
  },
  size: tableSize,
  tracks: tableTracks,
  dependsOn: ({ id }, context) => [context.table(id)],
});

import type { ElementOf } from '@/core/job';

type Table = ElementOf<'table'>;

/** Changes the table that is selected. */
export type SetTableOf = (label: string, make: (table: Table) => Table) => void;

import type { Programme } from '../core/impose';
import { cuttingSheets, inFront } from '../core/paperwork';
import type { ImposedSheet } from '../core/job';
import { formatNumber } from '../core/measure';
import { csvOf } from './csv';
import type { Desk } from './desk';
import type { OutputFile } from './file';
import { fileStem } from './file-name';
import { pagesPdf } from './paperwork';

const HEAD = ['sheet', 'cut', 'pile', 'turn', 'back gauge mm', 'in front of the knife'];

/** The programme of the knife, for every sheet that it parts: as pages, and as rows (RFC 4180). */
export async function cuttingFiles(
  { document }: Desk,
  sheets: readonly ImposedSheet[],
  at: Date,
): Promise<readonly OutputFile[]> {
  const cut = sheets.flatMap((sheet) => (sheet.cutting ? [{ sheet, programme: sheet.cutting.programme }] : []));
  if (cut.length === 0) return [];
  const rows = cut.flatMap(({ sheet, programme }) => cuttingRows(sheet.name, programme));
  const stem = fileStem(document.name);
  const { name, grammage } = document.stock;
  const told = { job: document.name, paper: `${name} ${grammage} g/m²`.trim(), unit: document.unit };
  const day = at.toISOString().slice(0, 10);
  const pages = cuttingSheets(cut.map(({ sheet }) => ({ ...told, day, sheet })));
  return [
    { name: `${stem}-cutting.csv`, type: 'text/csv', bytes: csvOf([HEAD, ...rows]) },
    ...(pages
      ? [
          {
            name: `${stem}-cutting.pdf`,
            type: 'application/pdf' as const,
            bytes: await pagesPdf(pages, at),
          },
        ]
      : []),
  ];
}

const cuttingRows = (name: string, { cuts }: Programme): readonly (readonly string[])[] =>
  cuts.map(({ number, pile, turn, gauge, front }) => [
    name,
    String(number),
    String(pile),
    turn === 0 ? '' : `${turn}°`,
    formatNumber(gauge, 2),
    inFront(front),
  ]);

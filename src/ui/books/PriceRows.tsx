'use client';
import Box from '@mui/material/Box';
import { FINISHES, Prices, type FinishKind, type FinishPrice, type House } from '@/core/shop';
import { NumberField } from '../field/NumberField';
import { WordsField } from '../field/WordsField';

interface Props {
  readonly house: House;
  readonly onChange: (change: Partial<House>) => void;
}

const FIGURES = [
  ['paper', 'Paper, a tonne'],
  ['plate', 'A plate'],
  ['makeReady', 'Made ready, a set of plates'],
  ['run', 'A thousand sheets, a pass'],
  ['square', 'Wide format, a square metre'],
  ['delivery', 'Delivery'],
  ['least', 'The smallest bill'],
] as const;

const MOST = 1_000_000;
const OPEN = 'not counted';

/** What a printer asks. What is left at 0 is not counted, and the calculation says so. */
export function PriceRows({ house, onChange }: Props) {
  const prices = house.prices ?? Prices.parse({ currency: '£' });
  const set = (change: { readonly [K in keyof Prices]?: Prices[K] | undefined }) =>
    onChange({ prices: Prices.parse(Object.fromEntries(Object.entries({ ...prices, ...change }))) });
  const asked = (price: number): number | undefined => (price > 0 ? price : undefined);
  const { click } = prices;
  const clicks = (to: Partial<NonNullable<Prices['click']>>) => {
    const both = { colour: click?.colour ?? 0, black: click?.black ?? 0, ...to };
    set({ click: both.colour > 0 || both.black > 0 ? both : undefined });
  };
  return (
    <Box
      role="group"
      aria-label="Prices"
      sx={{ gridColumn: '1 / -1', display: 'grid', gridTemplateColumns: '1fr 1fr 1fr', gap: 1.25, alignItems: 'end' }}
    >
      <WordsField
        label="Prices in"
        width="100%"
        most={8}
        value={prices.currency}
        onChange={(currency) => currency.trim() !== '' && set({ currency: currency.trim() })}
      />
      {FIGURES.map(([name, label]) => (
        <NumberField
          key={name}
          label={label}
          width="100%"
          value={prices[name] ?? 0}
          least={0}
          most={MOST}
          {...(prices[name] === undefined && { hint: OPEN })}
          onChange={(to) => set({ [name]: asked(to) })}
        />
      ))}
      <NumberField
        label="Sheets spoilt, a set of plates"
        width="100%"
        value={prices.makeReadySheets}
        least={0}
        most={10_000}
        whole
        onChange={(makeReadySheets) => set({ makeReadySheets })}
      />
      <NumberField
        label="Sheets spoilt on the run"
        width="100%"
        value={prices.spoilage}
        least={0}
        most={50}
        after=" %"
        onChange={(spoilage) => set({ spoilage })}
      />
      <NumberField
        label="Digital, a side in colour"
        width="100%"
        value={click?.colour ?? 0}
        least={0}
        most={MOST}
        {...(!click && { hint: OPEN })}
        onChange={(colour) => clicks({ colour })}
      />
      <NumberField
        label="Digital, a side in black"
        width="100%"
        value={click?.black ?? 0}
        least={0}
        most={MOST}
        {...(!click && { hint: OPEN })}
        onChange={(black) => clicks({ black })}
      />
      {FINISHES.map((finish) => (
        <FinishRow
          key={finish}
          finish={finish}
          price={prices.finish[finish]}
          onChange={(price) => {
            const { [finish]: _, ...others } = prices.finish;
            set({ finish: { ...others, ...(price && { [finish]: price }) } });
          }}
        />
      ))}
    </Box>
  );
}

interface RowProps {
  readonly finish: FinishKind;
  readonly price: FinishPrice | undefined;
  readonly onChange: (price: FinishPrice | undefined) => void;
}

function FinishRow({ finish, price, onChange }: RowProps) {
  const set = (change: Partial<FinishPrice>) => {
    const now = { setUp: price?.setUp ?? 0, per1000: price?.per1000 ?? 0, ...change };
    onChange(now.setUp > 0 || now.per1000 > 0 ? now : undefined);
  };
  const hint = price === undefined && { hint: OPEN };
  return (
    <>
      <Box sx={{ fontSize: 14, pb: 0.75, gridColumn: 1 }}>{finish}</Box>
      <NumberField
        label="set up"
        name={`${finish}, set up`}
        width="100%"
        value={price?.setUp ?? 0}
        least={0}
        most={MOST}
        {...hint}
        onChange={(setUp) => set({ setUp })}
      />
      <NumberField
        label="a thousand"
        name={`${finish}, a thousand`}
        width="100%"
        value={price?.per1000 ?? 0}
        least={0}
        most={MOST}
        {...hint}
        onChange={(thousand) => set({ per1000: thousand })}
      />
    </>
  );
}

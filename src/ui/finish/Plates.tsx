'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import { writeHex } from '@/core/colour';
import { finishLayers, finishesOn } from '@/core/marks';
import { formatNumber } from '@/core/measure';
import { CheckField } from '../field/CheckField';
import { ChoiceField } from '../field/ChoiceField';
import { LengthField } from '../field/LengthField';
import { useDesk } from '../open-job/use-desk';
import { Heading } from '../shell/Heading';
import { COLOURS, FACES } from '../shell/theme';
import { Group, Groups } from '../slip/Slip';
import { usePlateView } from '../view/plate-view';

/** The plates as they print: each with what it carries, and how they are looked at. */
export function Plates() {
  const plates = usePlateView((s) => s.plates);
  const { surface } = useDesk();
  if (!plates) return null;
  const title = `Plates of the ${surface.name}`;
  return (
    <section aria-label={title}>
      <Heading>{title}</Heading>
      <Box sx={{ px: 2.5, pt: 0.5, pb: 1.25 }}>
        <Groups>
          <PlateGroups />
        </Groups>
      </Box>
    </section>
  );
}

function PlateGroups() {
  const { surface, drawing, piece, rules, job } = useDesk();
  const { facts, hidden, grey, paperWhite, map, off: moved, problem, set, toggle, alone } = usePlateView();
  if (problem)
    return (
      <Box role="alert" sx={{ color: 'error.main', fontSize: 14, alignSelf: 'end' }}>
        {problem} Switch to the artwork and back to try again.
      </Box>
    );
  if (!facts)
    return (
      <Box role="status" sx={{ fontSize: 14, alignSelf: 'end' }}>
        Reading the plates …
      </Box>
    );
  const { names, coverage, most } = facts;
  const shown = names.filter((name) => !hidden.includes(name));
  // A plate that is gone cannot lie off.
  const off = moved && names.includes(moved.plate) ? moved : undefined;
  const area = surface.boxes.trim.width * surface.boxes.trim.height;
  const layers = finishLayers(finishesOn(piece, surface, drawing), rules);
  return (
    <>
      <Group title="Shown">
        {names.map((name) => (
          <PlateButton
            key={name}
            name={name}
            isShown={!hidden.includes(name)}
            share={coverage[name] ?? 0}
            area={area}
            onToggle={() => toggle(name)}
            onAlone={() => alone(name, names)}
          />
        ))}
        {hidden.some((name) => names.includes(name)) && (
          <Button size="small" onClick={() => set({ hidden: [], grey: false })}>
            All plates
          </Button>
        )}
      </Group>
      <Group title="Under the pointer">
        <UnderPointer names={names} inkNames={(job.inks ?? []).map((i) => i.name)} />
      </Group>
      <Group title="Look">
        {shown.length === 1 && (
          <CheckField label="as set, in grey" checked={grey} onChange={(on) => set({ grey: on })} />
        )}
        <CheckField
          label={`ink over ${rules.inkLimit.value} %`}
          checked={map === 'total'}
          onChange={(on) => set({ map: on ? 'total' : 'none' })}
        />
        {job.stock.white && (
          <CheckField label="paper white" checked={paperWhite} onChange={(on) => set({ paperWhite: on })} />
        )}
        <Box sx={{ fontSize: 13, fontFamily: FACES.figure }}>most {formatNumber(most.total, 0)} %</Box>
      </Group>
      <Group title="Out of register">
        <ChoiceField
          label="plate"
          width={118}
          value={off?.plate ?? 'none'}
          options={[{ value: 'none', label: 'all fit' }, ...names.map((name) => ({ value: name, label: name }))]}
          onChange={(plate) =>
            set({ off: plate === 'none' ? undefined : { plate, x: off?.x ?? 0.2, y: off?.y ?? 0.2 } })
          }
        />
        {off &&
          (['x', 'y'] as const).map((axis) => (
            <LengthField
              key={axis}
              label={axis === 'x' ? 'right' : 'down'}
              name={`off-${axis}`}
              value={off[axis]}
              unit={job.unit}
              ppi={rules.ppi.value}
              negative="allowed"
              width={74}
              onChange={(mm) => set({ off: { ...off, [axis]: mm } })}
            />
          ))}
      </Group>
      {layers.length > 0 && <Without names={layers.map((layer) => layer.name)} />}
    </>
  );
}

interface PlateProps {
  readonly name: string;
  readonly isShown: boolean;
  readonly share: number;
  /** Of the trimmed side, mm². */
  readonly area: number;
  readonly onToggle: () => void;
  readonly onAlone: () => void;
}

/** A plate: on or off, alone, and how much of the side it covers. */
function PlateButton({ name, isShown, share, area, onToggle, onAlone }: PlateProps) {
  const covered = `${formatNumber(share * 100, share < 0.1 ? 2 : 1)} %`;
  const squares = `${formatNumber((share * area) / 100, 1)} cm²`;
  return (
    <Box
      data-plate={name}
      data-covered={(share * 100).toFixed(3)}
      sx={{
        border: `1px solid ${isShown ? COLOURS.ink : COLOURS.line}`,
        borderRadius: 1,
        display: 'flex',
        bgcolor: isShown ? 'background.paper' : COLOURS.bench,
      }}
    >
      <ButtonBase
        aria-pressed={isShown}
        aria-label={`${name}, ${covered}, ${squares}`}
        onClick={onToggle}
        sx={{ display: 'grid', px: 0.75, py: 0.25, textAlign: 'left', minHeight: 34, justifyItems: 'start' }}
      >
        <Box
          sx={{
            display: 'flex',
            gap: 0.6,
            alignItems: 'center',
            fontFamily: FACES.text,
            fontSize: 13,
            fontWeight: 700,
            textDecoration: isShown ? 'none' : 'line-through',
          }}
        >
          <PlateSign name={name} /> {name}
        </Box>
        <Box sx={{ fontFamily: FACES.figure, fontSize: 11.5, color: COLOURS.sheetSoft }}>
          {covered} · {squares}
        </Box>
      </ButtonBase>
      <ButtonBase
        aria-label={`${name} alone`}
        title="alone"
        onClick={onAlone}
        sx={{ px: 0.8, borderLeft: `1px solid ${COLOURS.line}`, fontSize: 12 }}
      >
        <span aria-hidden>◉</span>
      </ButtonBase>
    </Box>
  );
}

/** A patch of what a plate prints: square for an ink, round for what is laid on, a bar for a line. */
function PlateSign({ name }: { readonly name: string }) {
  const { paints, rules, job } = useDesk();
  const PLAIN = {
    Cyan: { c: 100, m: 0, y: 0, k: 0 },
    Magenta: { c: 0, m: 100, y: 0, k: 0 },
    Yellow: { c: 0, m: 0, y: 100, k: 0 },
    Black: { c: 0, m: 0, y: 0, k: 100 },
  };
  const ink = Object.entries(PLAIN).find(([n]) => n === name)?.[1] ?? (job.inks ?? []).find((i) => i.name === name);
  const coating = Object.values(rules.coatings).find((c) => c.spot === name);
  const fill = ink ? writeHex(paints.toRgb(ink)) : coating ? writeHex(paints.toRgb(coating.shown)) : COLOURS.inkSoft;
  return (
    <svg width={12} height={12} aria-hidden>
      {ink ? (
        <rect x={0.5} y={0.5} width={11} height={11} fill={fill} stroke={COLOURS.ink} strokeWidth={0.7} />
      ) : coating ? (
        <circle cx={6} cy={6} r={5.4} fill={fill} stroke={COLOURS.ink} strokeWidth={0.7} />
      ) : (
        <path d="M0.5 6H11.5" stroke={COLOURS.ink} strokeWidth={2} strokeDasharray="4 2" />
      )}
    </svg>
  );
}

function UnderPointer({
  names,
  inkNames,
}: {
  readonly names: readonly string[];
  readonly inkNames: readonly string[];
}) {
  const under = usePlateView((s) => s.under);
  if (!under)
    return <Box sx={{ fontSize: 13, color: COLOURS.sheetSoft, width: 210, height: 36 }}>Point at the paper.</Box>;
  const read = names.map((name, i) => ({ name, percent: under[i] ?? 0 }));
  const printed = read.filter(({ percent }) => percent >= 0.5);
  const total = read
    .filter(({ name }) => PROCESS_SHORT[name] || inkNames.includes(name))
    .reduce((sum, r) => sum + r.percent, 0);
  return (
    <Box
      data-under
      sx={{ fontFamily: FACES.figure, fontSize: 13, width: 210, height: 36, lineHeight: 1.35, overflow: 'hidden' }}
    >
      {printed.length === 0
        ? 'bare paper'
        : printed.map(({ name, percent }) => `${PROCESS_SHORT[name] ?? name} ${formatNumber(percent, 0)}`).join('  ')}
      <Box sx={{ color: COLOURS.sheetSoft, fontSize: 12 }}>total ink {formatNumber(total, 0)} %</Box>
    </Box>
  );
}

const PROCESS_SHORT: Readonly<Record<string, string>> = { Cyan: 'C', Magenta: 'M', Yellow: 'Y', Black: 'K' };

/** What the other plates do without a layer. */
function Without({ names }: { readonly names: readonly string[] }) {
  const { without, compared, set } = usePlateView();
  const shown = without !== undefined && names.includes(without) ? without : undefined;
  const changed = Object.entries(compared?.changes ?? {}).filter(([name, pixels]) => name !== shown && pixels > 0);
  return (
    <Group title="With and without">
      <ChoiceField
        label="layer"
        width={130}
        value={shown ?? 'none'}
        options={[{ value: 'none', label: 'choose one' }, ...names.map((name) => ({ value: name, label: name }))]}
        onChange={(to) => set({ without: to === 'none' ? undefined : to, compared: undefined })}
      />
      {shown !== undefined && (
        <Box role="status" sx={{ fontSize: 13, width: 250, height: 36 }}>
          {compared?.layer !== shown
            ? 'Comparing …'
            : changed.length === 0
              ? 'No other plate changes: it overprints.'
              : `${changed.map(([name]) => name).join(', ')} ${changed.length === 1 ? 'changes' : 'change'} ` +
                'beneath it: it knocks out.'}
        </Box>
      )}
    </Group>
  );
}

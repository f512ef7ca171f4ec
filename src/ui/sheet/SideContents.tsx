'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { elementsOn, plainText, type Element, type Layer } from '@/core/job';
import { CheckField } from '../field/CheckField';
import { WordsField } from '../field/WordsField';
import { useJob } from '../open-job/context';
import { addLayer, atPlaceOf, changeSide, moveLayer, putLayer, removeLayer } from '@/core/edit';
import { useDesk } from '../open-job/use-desk';
import { COLOURS } from '../shell/theme';
import { Fold } from '../shell/Fold';
import { Sortable, SortedRows, useSortedRow } from '../shell/Sortable';
import { nameOf } from '@/core/element';

/** Most elements that are listed at once. */
const MOST = 200;

const matches = (element: Element, words: string): boolean =>
  `${nameOf(element)} ${element.kind === 'text' ? plainText(element.paragraphs) : ''}`
    .toLowerCase()
    .includes(words.toLowerCase());

/** What lies on this side, the uppermost first, by layer; found by name or by the words in it. */
export function SideContents() {
  const { piece } = useDesk();
  const side = useJob((s) => s.side);
  const selection = useJob((s) => s.selection);
  const select = useJob((s) => s.select);
  const change = useJob((s) => s.change);
  const [words, setWords] = useState('');
  const elements = elementsOn(piece, side);
  const shown = [...elements].reverse().filter((e) => words === '' || matches(e, words));
  const onLayer = (layer: Layer) => shown.filter((e) => e.layer === layer.id).slice(0, MOST);
  const called = (id: string) => {
    const element = elements.find((e) => e.id === id);
    return element ? nameOf(element) : '';
  };
  const move = (id: string, to: string) =>
    change(`Order ${called(id)}`, (now) => changeSide(now, side, (list) => atPlaceOf(list, id, to)));
  return (
    <Fold title="On this side" count={elements.length}>
      <TextField
        variant="standard"
        placeholder="Find by name or text"
        value={words}
        onChange={(event) => setWords(event.target.value)}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === 'Enter' && shown[0]) select([shown[0].id]);
        }}
        slotProps={{ htmlInput: { 'aria-label': 'Find an element' } }}
      />
      <Sortable nameOf={called} onMove={move}>
        {[...piece.layers].reverse().map((layer) => (
          <Box key={layer.id} role="group" aria-label={layer.name}>
            <LayerLine
              layer={layer}
              only={piece.layers.length === 1}
              onChange={(to) => change('Layer', (now) => putLayer(now, to))}
              onUp={() => change('Layer up', (now) => moveLayer(now, layer.id, 1))}
              onRemove={() => change('Remove layer', (now) => removeLayer(now, layer.id))}
            />
            <SortedRows ids={onLayer(layer).map(({ id }) => id)}>
              {onLayer(layer).map((e) => (
                <ElementRow
                  key={e.id}
                  element={e}
                  isHeld={layer.locked}
                  isChosen={selection.includes(e.id)}
                  onChoose={(extend) => select(extend ? [...new Set([...selection, e.id])] : [e.id])}
                />
              ))}
            </SortedRows>
          </Box>
        ))}
      </Sortable>
      {words !== '' && shown.length === 0 && <Box sx={{ fontSize: 13 }}>Nothing here is called so or says so.</Box>}
      <Button size="small" sx={{ justifySelf: 'start' }} onClick={() => change('Add a layer', (now) => addLayer(now))}>
        Add a layer
      </Button>
    </Fold>
  );
}

interface RowProps {
  readonly element: Element;
  /** Its layer is locked. */
  readonly isHeld: boolean;
  readonly isChosen: boolean;
  readonly onChoose: (extend: boolean) => void;
}

/** An element by its name: pressed it is selected, drawn it goes to another place in the order. */
function ElementRow({ element, isHeld, isChosen, onChoose }: RowProps) {
  const { ref, style, handle } = useSortedRow(element.id, isHeld);
  return (
    <ButtonBase
      ref={ref}
      {...handle}
      style={style}
      aria-pressed={isChosen}
      onClick={(event) => onChoose(event.shiftKey)}
      sx={{
        display: 'block',
        width: '100%',
        textAlign: 'left',
        fontSize: 13.5,
        px: 1,
        py: 0.25,
        overflow: 'hidden',
        textOverflow: 'ellipsis',
        whiteSpace: 'nowrap',
        borderBottom: `1px dotted ${COLOURS.sheetLine}`,
        fontWeight: isChosen ? 700 : 400,
      }}
    >
      {element.group !== null && <span aria-label="in a group">⁝ </span>}
      {nameOf(element)}
    </ButtonBase>
  );
}

function LayerLine({
  layer,
  only,
  onChange,
  onUp,
  onRemove,
}: {
  readonly layer: Layer;
  readonly only: boolean;
  readonly onChange: (layer: Layer) => void;
  readonly onUp: () => void;
  readonly onRemove: () => void;
}) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'flex-end', gap: 0.75, flexWrap: 'wrap' }}>
      <WordsField
        label="layer"
        value={layer.name}
        most={60}
        width={96}
        refuse={(name) => (name === '' ? 'A layer needs a name.' : undefined)}
        onChange={(name) => onChange({ ...layer, name })}
      />
      <CheckField
        label="shown"
        checked={!layer.hidden}
        onChange={(isShown) => onChange({ ...layer, hidden: !isShown })}
      />
      <CheckField label="locked" checked={layer.locked} onChange={(locked) => onChange({ ...layer, locked })} />
      {!only && (
        <>
          <Button size="small" sx={{ minWidth: 0 }} onClick={onUp} aria-label={`Move ${layer.name} up`}>
            Up
          </Button>
          <Button
            size="small"
            sx={{ minWidth: 0 }}
            onClick={onRemove}
            aria-label={`Remove ${layer.name}; what is on it goes to the layer below`}
          >
            Remove
          </Button>
        </>
      )}
    </Box>
  );
}

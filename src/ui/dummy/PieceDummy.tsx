'use client';
import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { usePainting } from '../open-job/painting';
import { useDesk } from '../open-job/use-desk';
import { Dummy } from './Dummy';
import { useSideTexture } from './side-texture';
import { FOLDED_CHOICES, useFoldedCopy, type FoldedChoice } from './use-folded-copy';

/** The piece folding on the screen, as it is meant or as the folder of its house makes it. */
export default function PieceDummy() {
  const { blank, drawingOf, resources, rules } = useDesk();
  const { folding, choice, setChoice, offWords } = useFoldedCopy();
  const context = usePainting(resources, rules.conversion);
  const sideOf = (name: string | undefined) => ({
    surface: blank.surfaces.find((s) => s.name === name),
    drawing: name === undefined ? undefined : drawingOf(name),
  });
  const [up, down] = [sideOf(folding?.up), sideOf(folding?.down)];
  const upTexture = useSideTexture(up.surface, up.drawing, context);
  const downTexture = useSideTexture(down.surface, down.drawing, context);
  if (!folding || !up.surface) return null;
  const { width, height } = up.surface.boxes.trim;
  return (
    <Dummy
      folding={folding}
      flat={{ width, height }}
      caliper={rules.thickness.value}
      up={upTexture}
      down={downTexture}
      choices={choice !== undefined && <FoldedCopies choice={choice} onChoose={setChoice} />}
      said={() =>
        offWords !== undefined && (
          <Box component="span" data-fold-off sx={{ fontWeight: 400, ml: 2 }}>
            {offWords}
          </Box>
        )
      }
    />
  );
}

interface CopiesProps {
  readonly choice: FoldedChoice;
  readonly onChoose: (choice: FoldedChoice) => void;
}

const FoldedCopies = ({ choice, onChoose }: CopiesProps) => (
  <ToggleButtonGroup
    exclusive
    size="small"
    value={choice}
    aria-label="How the folder folds it"
    onChange={(_event, to: FoldedChoice | null) => to && onChoose(to)}
    sx={{ bgcolor: 'background.paper' }}
  >
    {FOLDED_CHOICES.map(({ value, label }) => (
      <ToggleButton key={value} value={value} sx={{ py: 0.25 }}>
        {label}
      </ToggleButton>
    ))}
  </ToggleButtonGroup>
);

'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { Canvas, useThree } from '@react-three/fiber';
import { useEffect, useMemo, useRef, useState } from 'react';
import { DoubleSide, FrontSide, type Texture } from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import type { Folding } from '@/core/fold';
import { counted } from '@/core/measure';
import type { Size } from '@/core/paper';
import { usePainting } from '../open-job/painting';
import { useDesk } from '../open-job/use-desk';
import { COLOURS, FACES, INK } from '../shell/theme';
import { makeParts, poseParts } from './model';
import { useSideTexture } from './side-texture';
import { FOLDED_CHOICES, useFoldedCopy, type FoldedChoice } from './use-folded-copy';

/** How much thicker than life paper is shown, at most. */
const THICKEST = 30;

/** The piece folding on the screen, with both its printed sides on it. */
export default function DummyView() {
  const { blank, drawingOf, resources, rules } = useDesk();
  const { folding, choice, setChoice, offWords } = useFoldedCopy();
  const [progress, setProgress] = useState(0);
  const [thick, setThick] = useState(6);
  const [playing, setPlaying] = useState(false);
  const context = usePainting(resources, rules.conversion);
  const sideOf = (name: string | undefined) => ({
    surface: blank.surfaces.find((s) => s.name === name),
    drawing: name === undefined ? undefined : drawingOf(name),
  });
  const [up, down] = [sideOf(folding?.up), sideOf(folding?.down)];
  const upTexture = useSideTexture(up.surface, up.drawing, context);
  const downTexture = useSideTexture(down.surface, down.drawing, context);
  const steps = folding?.steps ?? [];

  useEffect(() => {
    if (!playing) return;
    let frame = 0;
    let last = performance.now();
    const tick = (now: number) => {
      const passed = (now - last) / 1400;
      last = now;
      setProgress((p) => {
        const next = Math.min(steps.length, p + passed);
        if (next >= steps.length) setPlaying(false);
        return next;
      });
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [playing, steps.length]);

  if (!folding || !up.surface) return null;
  const flat = { width: up.surface.boxes.trim.width, height: up.surface.boxes.trim.height };
  const at = Math.min(Math.floor(progress), steps.length);
  const words =
    progress <= 0
      ? `Flat, ${folding.up} up`
      : progress >= steps.length
        ? `Folded: ${counted(steps.length, 'fold')}`
        : `${at + 1}. ${steps[at]?.name ?? ''}`;
  const struck = new Set((folding.collisions ?? []).filter((c) => progress > c.step).flatMap((c) => c.facets));
  return (
    <Box sx={{ position: 'absolute', inset: 0, display: 'flex', flexDirection: 'column', bgcolor: COLOURS.bench }}>
      <Box
        role="img"
        aria-label={`Folding dummy. ${words}`}
        sx={{ flex: 1, minHeight: 0 }}
        data-dummy={upTexture ? 'ready' : 'drawing'}
      >
        <Canvas frameloop="demand" camera={{ fov: 32, near: 1, far: 100_000 }} dpr={[1, 2]}>
          <Scene
            folding={folding}
            flat={flat}
            progress={progress}
            sheet={rules.thickness.value * thick}
            up={upTexture}
            down={downTexture}
            struck={struck}
          />
        </Canvas>
      </Box>
      {choice !== undefined && (
        <ToggleButtonGroup
          exclusive
          size="small"
          value={choice}
          aria-label="How the folder folds it"
          onChange={(_event, to: FoldedChoice | null) => to && setChoice(to)}
          sx={{ position: 'absolute', top: 12, right: 16, bgcolor: 'background.paper' }}
        >
          {FOLDED_CHOICES.map(({ value, label }) => (
            <ToggleButton key={value} value={value} sx={{ py: 0.25 }}>
              {label}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      )}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'auto minmax(160px, 1fr) auto minmax(90px, 150px)',
          columnGap: 2,
          alignItems: 'center',
          px: 3,
          pb: 1,
        }}
      >
        <Box sx={{ display: 'flex', gap: 0.5 }}>
          <Button
            size="small"
            variant="outlined"
            onClick={() => {
              setPlaying(false);
              setProgress(Math.max(0, Math.ceil(progress) - 1));
            }}
            disabled={progress <= 0}
            aria-label="One fold back"
          >
            ‹ back
          </Button>
          <Button
            size="small"
            variant="outlined"
            onClick={() => {
              setPlaying(false);
              setProgress(Math.min(steps.length, Math.floor(progress) + 1));
            }}
            disabled={progress >= steps.length}
            aria-label="One fold further"
          >
            fold ›
          </Button>
          <Button
            size="small"
            variant="contained"
            onClick={() => {
              if (progress >= steps.length) setProgress(0);
              setPlaying(!playing);
            }}
          >
            {playing ? 'hold' : 'fold it all'}
          </Button>
        </Box>
        <Slider
          aria-label="Folding"
          min={0}
          max={steps.length}
          step={0.01}
          value={progress}
          marks={steps.map((_, i) => ({ value: i + 1 }))}
          valueLabelDisplay="off"
          getAriaValueText={() => words}
          onChange={(_event, value) => {
            setPlaying(false);
            setProgress(value);
          }}
        />
        <Box component="span" id="thickness-shown" sx={{ fontSize: 13 }}>
          thickness shown{' '}
          <Box component="span" sx={{ fontFamily: FACES.figure }}>
            {thick} ×
          </Box>
        </Box>
        <Slider
          aria-labelledby="thickness-shown"
          min={1}
          max={THICKEST}
          value={thick}
          onChange={(_event, value) => setThick(value)}
        />
        <Box aria-live="polite" sx={{ gridColumn: '1 / -1', fontSize: 14, fontWeight: 600 }}>
          {words}
          {offWords !== undefined && (
            <Box component="span" data-fold-off sx={{ fontWeight: 400, ml: 2 }}>
              {offWords}
            </Box>
          )}
          {struck.size > 0 && (
            <Box component="span" sx={{ color: 'error.main', ml: 2 }}>
              ▲ in the way: {[...struck].map((i) => folding.parts[i]?.name).join(', ')}
            </Box>
          )}
        </Box>
      </Box>
    </Box>
  );
}

interface SceneProps {
  readonly folding: Folding;
  readonly flat: Size;
  readonly progress: number;
  readonly sheet: number;
  readonly up: Texture | undefined;
  readonly down: Texture | undefined;
  readonly struck: ReadonlySet<number>;
}

function Scene({ folding, flat, progress, sheet, up, down, struck }: SceneProps) {
  const { camera, gl, invalidate } = useThree();
  // eslint-disable-next-line react-hooks/exhaustive-deps -- its size is all of it that counts
  const parts = useMemo(() => makeParts(folding, flat), [folding, flat.width, flat.height]);
  const controls = useRef<OrbitControls>(undefined);
  const reach = Math.hypot(flat.width, flat.height);

  useEffect(() => {
    const made = new OrbitControls(camera, gl.domElement);
    made.enablePan = false;
    made.addEventListener('change', () => invalidate());
    controls.current = made;
    return () => made.dispose();
  }, [camera, gl, invalidate]);
  useEffect(() => {
    camera.position.set(reach * 0.28, -reach * 0.62, reach * 1.36);
    camera.up.set(0, 1, 0);
    camera.lookAt(0, 0, 0);
    controls.current?.update();
    invalidate();
  }, [camera, reach, invalidate]);
  useEffect(() => {
    poseParts(parts, folding, flat, progress, sheet);
    invalidate();
  }, [parts, folding, flat, progress, sheet, up, down, struck, invalidate]);
  useEffect(
    () => () => {
      for (const part of parts) {
        part.up.dispose();
        part.down.dispose();
        part.edge.dispose();
      }
    },
    [parts],
  );
  return (
    <>
      <ambientLight intensity={2.3} />
      <directionalLight position={[reach * 0.4, reach * 0.6, reach]} intensity={1.6} />
      <directionalLight position={[-reach * 0.5, -reach * 0.3, -reach]} intensity={0.7} />
      <mesh position={[0, 0, -reach * 0.55]}>
        <circleGeometry args={[reach * 0.9, 64]} />
        <meshBasicMaterial color="#dcded5" side={DoubleSide} transparent opacity={0.35} />
      </mesh>
      {parts.map((part, i) => (
        <group key={`${part.name}-${i}`}>
          <mesh geometry={part.up} frustumCulled={false}>
            <meshLambertMaterial
              key={up ? 'worn' : 'bare'}
              map={up ?? null}
              color={struck.has(i) ? '#ff9a8c' : '#ffffff'}
              side={FrontSide}
            />
          </mesh>
          <lineLoop geometry={part.edge} frustumCulled={false}>
            <lineBasicMaterial color={INK} />
          </lineLoop>
          <mesh geometry={part.down} frustumCulled={false}>
            <meshLambertMaterial
              key={down ? 'worn' : 'bare'}
              map={down ?? null}
              color={struck.has(i) ? '#ff9a8c' : down ? '#ffffff' : '#e9e6da'}
              side={FrontSide}
            />
          </mesh>
        </group>
      ))}
    </>
  );
}

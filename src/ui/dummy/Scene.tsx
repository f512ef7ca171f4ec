'use client';
import { useThree } from '@react-three/fiber';
import { useEffect, useMemo, useRef } from 'react';
import { DoubleSide, FrontSide, type Texture } from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import type { Folding } from '@/core/fold';
import type { Size } from '@/core/paper';
import { INK } from '../shell/theme';
import { framingAt, makeParts, poseParts } from './model';

interface SceneProps {
  readonly folding: Folding;
  readonly flat: Size;
  /** Folds that are done; a fraction is a fold under way. */
  readonly progress: number;
  /** How thick a sheet is shown, mm. */
  readonly sheet: number;
  readonly up: Texture | undefined;
  readonly down: Texture | undefined;
  /** Parts that are in the way of each other. */
  readonly struck: ReadonlySet<number>;
}

/** The parts of a piece in space, on a table that one turns with the pointer. */
export function Scene({ folding, flat, progress, sheet, up, down, struck }: SceneProps) {
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
  const { x, y, scale } = framingAt(folding, flat, progress);
  return (
    <>
      <ambientLight intensity={2.3} />
      <directionalLight position={[reach * 0.4, reach * 0.6, reach]} intensity={1.6} />
      <directionalLight position={[-reach * 0.5, -reach * 0.3, -reach]} intensity={0.7} />
      <mesh position={[0, 0, -reach * 0.55]}>
        <circleGeometry args={[reach * 0.9, 64]} />
        <meshBasicMaterial color="#dcded5" side={DoubleSide} transparent opacity={0.35} />
      </mesh>
      <group scale={scale} position={[-x * scale, -y * scale, 0]}>
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
      </group>
    </>
  );
}

'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { neighboursOf, shiftOf, writeBuild, writeHex, type ColourEngine } from '@/core/colour';
import type { SolidPaint } from '@/core/job';
import { formatNumber } from '@/core/measure';
import { FACES } from '../shell/theme';

/** What an sRGB colour becomes, and how far it moves: shown from the start. */
export function ShiftWords({
  paint,
  colour,
  onTake,
}: {
  paint: Extract<SolidPaint, { kind: 'rgb' }>;
  colour: ColourEngine;
  onTake: (paint: SolidPaint) => void;
}) {
  const { build, deltaE, outOfGamut } = shiftOf(paint, colour);
  const whole = { c: Math.round(build.c), m: Math.round(build.m), y: Math.round(build.y), k: Math.round(build.k) };
  return (
    <Box sx={{ fontSize: 13, display: 'grid', gap: 0.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <svg width="72" height="28" aria-hidden>
          <rect width="36" height="28" fill={writeHex(paint)} />
          <rect x="36" width="36" height="28" fill={writeHex(colour.toRgb(build))} />
        </svg>
        <span>screen, and on this paper</span>
      </Box>
      <Box>
        Prints as <b style={{ fontFamily: FACES.figure }}>{writeBuild(build)}</b>, ΔE2000{' '}
        <b style={{ fontFamily: FACES.figure }}>{formatNumber(deltaE, 1)}</b>
      </Box>
      {outOfGamut && (
        <>
          <Box sx={{ color: 'error.main' }}>✕ Out of gamut: this paper cannot show it. It will look duller.</Box>
          <Box
            role="group"
            aria-label="What this paper can show instead"
            sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap' }}
          >
            {neighboursOf(paint, colour).map(({ way, build: near, deltaE: far }) => (
              <Button
                key={way}
                size="small"
                variant="outlined"
                onClick={() => onTake({ kind: 'process', ...near })}
                aria-label={`${way}: ${writeBuild(near)}, ΔE ${formatNumber(far, 1)}`}
                startIcon={
                  <svg width="18" height="18" aria-hidden>
                    <rect width="18" height="18" fill={writeHex(colour.toRgb(near))} />
                  </svg>
                }
              >
                {way}
              </Button>
            ))}
          </Box>
        </>
      )}
      <Button size="small" sx={{ justifySelf: 'start' }} onClick={() => onTake({ kind: 'process', ...whole })}>
        Make it {writeBuild(build)}
      </Button>
    </Box>
  );
}

'use client';
import { Groups } from '../../slip/Slip';
import { ColourFields } from './ColourFields';
import { PreviewFields } from './PreviewFields';

/** The way of colours to the press, and of the picture to a screen. */
export function InkFields() {
  return (
    <Groups>
      <ColourFields />
      <PreviewFields />
    </Groups>
  );
}

'use client';
import { CheckField } from '../../field/CheckField';
import { useBenchView } from '../../view/bench-view';

/** What the bench shows of the piece: cut to its trim, and with what guides the eye. */
export function LookAt() {
  const { guides, trimmed, toggle } = useBenchView();
  return (
    <>
      <CheckField label="as trimmed" checked={trimmed} onChange={() => toggle('trimmed')} />
      <CheckField label="guides" checked={guides} onChange={() => toggle('guides')} />
    </>
  );
}

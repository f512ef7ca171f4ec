'use client';
import { NumberField } from '../../field/NumberField';
import { useJob } from '../../open-job/context';
import { useDesk } from '../../open-job/use-desk';
import { Group } from '../../slip/Slip';

/** How large a preview is made. */
export function PreviewFields() {
  const { job } = useDesk();
  const change = useJob((s) => s.change);
  return (
    <Group title="Preview">
      <NumberField
        label="longest side"
        value={job.output.previewPixels}
        least={100}
        most={10_000}
        whole
        width={96}
        after=" px"
        onChange={(px) => change('Preview size', (now) => ({ ...now, output: { ...now.output, previewPixels: px } }))}
      />
    </Group>
  );
}

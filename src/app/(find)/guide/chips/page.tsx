import { ChipsSheet } from '../../../../features/guide/ChipsSheet';
import { PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'Chip families' };

export default function ChipsPage() {
  return (
    <>
      <PageHead title="Chip families" subtitle="pins, thresholds and what to expect unpowered" />
      <ChipsSheet />
    </>
  );
}

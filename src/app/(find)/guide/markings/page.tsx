import { MarkingRulesSheet } from '../../../../features/guide/MarkingRulesSheet';
import { PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'Reading markings' };

export default function MarkingsPage() {
  return (
    <>
      <PageHead title="Reading markings" subtitle="the rules, and how far to believe them" />
      <MarkingRulesSheet />
    </>
  );
}

import { DeckSheet } from '../../../../features/whatif/DeckSheet';
import { PageHead } from '../../../../ui/frame/Page';

export const metadata = { title: 'Run a deck' };

export default function DeckPage() {
  return (
    <>
      <PageHead
        title="Run a deck"
        subtitle="A switched circuit as a SPICE deck, run in this browser; nothing here is stored"
      />
      <DeckSheet />
    </>
  );
}

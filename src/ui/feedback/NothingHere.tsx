import { Evidence } from '../frame/Halves';
import { PageHead } from '../frame/Page';
import { EmptyState } from './EmptyState';

/** What stands where an address leads nowhere. */
export function NothingHere() {
  return (
    <>
      <PageHead title="Nothing here" />
      <Evidence>
        <EmptyState title="No such place">
          Nothing has this address, or it was archived. Codes of donors, lots and builds have six characters, like
          K7F-2QM; type one into the line below as it stands on the label, and a mistyped character is noticed.
        </EmptyState>
      </Evidence>
    </>
  );
}

'use client';

import Link from '../ui/frame/Link';
import { useEffect } from 'react';
import { EmptyState } from '../ui/feedback/EmptyState';
import { Evidence } from '../ui/frame/Halves';
import { PageFrame, PageHead } from '../ui/frame/Page';

/** What a page shows when it failed: what to do next. */
export default function ErrorPage({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  useEffect(() => {
    document.title = 'Something went wrong · Zorvek';
  }, []);
  return (
    <PageFrame>
      <PageHead title="This page failed" subtitle={error.digest ? `mark ${error.digest}` : ''} />
      <Evidence>
        <EmptyState
          title="Showing it changed nothing"
          action={
            <>
              <button type="button" className="btn" data-tone="next" onClick={reset}>
                Try again
              </button>
              <Link className="btn" href="/">
                To the bench
              </Link>
            </>
          }
        >
          The server could not finish this page. Try again; if it fails once more, the reason stands in the window where
          Zorvek was started, beside the mark above.
        </EmptyState>
      </Evidence>
    </PageFrame>
  );
}

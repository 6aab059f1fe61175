'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { PAGE_ROWS } from './rows';
import { withQuery } from '../../address';

/** Milliseconds that a page must stay in view before it is fetched: a long scroll passes many. */
const SETTLE_MS = 60;

/**
 * Rows by page, fetched when they come into view and kept from then. When the page is read again, those in view are
 * fetched again, and the old ones stand until the new ones are there.
 */
export function useRowPages<Item>({
  first,
  url,
  from,
  to,
}: {
  first: readonly Item[];
  url: string;
  /** Rows in view. */
  from: number;
  to: number;
}) {
  const [pages, setPages] = useState<ReadonlyMap<number, readonly Item[]>>(() => new Map([[0, first]]));
  const [failed, setFailed] = useState(false);
  const asked = useRef({ since: first, pages: new Set([0]) });
  const [firstPage, lastPage] = [Math.floor(from / PAGE_ROWS), Math.floor(to / PAGE_ROWS)];

  const fetchPages = useCallback(
    async (wanted: readonly number[]) => {
      if (asked.current.since !== first) {
        asked.current = { since: first, pages: new Set([0]) };
        setPages((kept) => new Map(kept).set(0, first));
      }
      const reading = asked.current;
      await Promise.all(
        wanted
          .filter((page) => !reading.pages.has(page))
          .map(async (page) => {
            reading.pages.add(page);
            const response = await fetch(withQuery(url, { page })).catch(() => undefined);
            const answer = response?.ok ? ((await response.json()) as { rows: readonly Item[] }) : undefined;
            if (reading !== asked.current) return;
            if (answer) setPages((kept) => new Map(kept).set(page, answer.rows));
            else {
              reading.pages.delete(page);
              setFailed(true);
            }
          }),
      );
    },
    [url, first],
  );

  useEffect(() => {
    const wanted = Array.from({ length: lastPage - firstPage + 1 }, (_, index) => firstPage + index);
    const timer = setTimeout(() => void fetchPages(wanted), SETTLE_MS);
    return () => clearTimeout(timer);
  }, [firstPage, lastPage, fetchPages]);

  return {
    rowAt: (index: number): Item | undefined => pages.get(Math.floor(index / PAGE_ROWS))?.[index % PAGE_ROWS],
    failed,
    retry: () => {
      setFailed(false);
      void fetchPages([firstPage, lastPage]);
    },
  };
}

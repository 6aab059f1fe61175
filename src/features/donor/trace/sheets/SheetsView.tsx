'use client';

import Form from 'next/form';
import Link from '../../../../ui/frame/Link';
import { PAPERS, type Paper } from '../../../../core/schematic';
import { routes } from '../../../../routes';
import { EmptyState } from '../../../../ui/feedback/EmptyState';
import { Evidence } from '../../../../ui/frame/Halves';
import { keepPng, keepSvg } from '../../../../ui/picture/keepFile';
import type { SchematicSheet, SharedOut } from './sheets.server';

/** Pixels of a millimetre on a picture: about 250 to the inch. */
const FINE = 10;

/** The schematic on sheets of paper: as it will be printed, a page each, and each as a file. */
export function SheetsView({
  code,
  paper,
  by,
  sheets,
}: {
  code: string;
  paper: Paper;
  by: SharedOut;
  sheets: readonly SchematicSheet[];
}) {
  const { width, height } = PAPERS[paper];
  return (
    <Evidence>
      <div className="no-print mb-4 flex flex-wrap items-end gap-4">
        <Form action={routes.sheets(code)} className="flex flex-wrap items-end gap-2.5">
          <div className="field">
            <label htmlFor="sheet-paper">paper</label>
            <select id="sheet-paper" name="paper" defaultValue={paper} key={paper}>
              {Object.keys(PAPERS).map((name) => (
                <option key={name} value={name}>
                  {name} landscape
                </option>
              ))}
            </select>
          </div>
          <div className="field">
            <label htmlFor="sheet-by">on it</label>
            <select id="sheet-by" name="by" defaultValue={by} key={by}>
              <option value="whole">the whole board</option>
              <option value="section">a sheet for each stage</option>
            </select>
          </div>
          <button type="submit" className="btn">
            Show it so
          </button>
        </Form>
        {sheets.length > 0 && (
          <button type="button" className="btn" data-tone="next" onClick={() => window.print()}>
            Print {sheets.length === 1 ? 'the sheet' : `${sheets.length} sheets`}
          </button>
        )}
        <Link href={routes.station(code, 'trace')} className="underline decoration-dotted">
          back to Trace
        </Link>
      </div>
      {sheets.length === 0 ? (
        <EmptyState title="Nothing to draw yet">Log parts at Trace first, and beep their pins together.</EmptyState>
      ) : (
        <ul className="flex flex-col gap-6 print:block">
          {sheets.map(({ name, section, svg }) => (
            <li key={name} className="paper" data-paper={paper}>
              <div className="no-print mb-1.5 flex flex-wrap items-center gap-2 text-[13px]">
                <span className="label">{section}</span>
                <button type="button" className="btn" data-tone="small" onClick={() => keepSvg(svg, `${name}.svg`)}>
                  keep as SVG
                </button>
                <button
                  type="button"
                  className="btn"
                  data-tone="small"
                  onClick={() => void keepPng(svg, { width: width * FINE, height: height * FINE }, `${name}.png`)}
                >
                  keep as PNG
                </button>
              </div>
              {/* The sheet is drawn on the server from escaped texts only. */}
              <div
                className="border border-rule-2 print:border-0 [&>svg]:h-auto [&>svg]:w-full print:[&>svg]:h-[var(--high)] print:[&>svg]:w-[var(--wide)]"
                style={{ ['--wide' as string]: `${width}mm`, ['--high' as string]: `${height}mm` }}
                dangerouslySetInnerHTML={{ __html: svg }}
              />
            </li>
          ))}
        </ul>
      )}
    </Evidence>
  );
}

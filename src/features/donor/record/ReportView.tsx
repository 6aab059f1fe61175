import { plotSvg, type Block, type Report } from '../../../core/report';

/** A report as a page that prints on A4. @param srcOf the address of a picture by its file */
export function ReportView({ report, srcOf }: { report: Report; srcOf: ReadonlyMap<string, string> }) {
  return (
    <article className="report mx-auto max-w-[780px] text-[13.5px] leading-snug">
      <header className="mb-4 border-b border-rule pb-3">
        <h1 className="text-[22px] leading-tight font-semibold">{report.title}</h1>
        <p className="text-[12.5px] text-ink-2">{report.subtitle}</p>
      </header>
      {report.sections.map(({ id, title, blocks }) => (
        <section key={id} aria-label={title} className="mb-5">
          <h2 className="mb-1.5 text-[15px] font-semibold break-after-avoid">{title}</h2>
          {blocks.map((block, place) => (
            // Blocks of a section have no name of their own and never change places.
            <BlockView key={`${id} ${String(place)}`} block={block} srcOf={srcOf} />
          ))}
        </section>
      ))}
    </article>
  );
}

function BlockView({ block, srcOf }: { block: Block; srcOf: ReadonlyMap<string, string> }) {
  switch (block.kind) {
    case 'text':
      return <p className="mb-2 whitespace-pre-wrap">{block.text}</p>;
    case 'caution':
      return <p className="mb-2 border-l-2 border-stop pl-2.5 text-[12.5px] text-ink-2">{block.text}</p>;
    case 'facts':
      return (
        <dl className="mb-2 grid grid-cols-[130px_1fr] gap-x-3">
          {block.rows.map(([label, value]) => (
            <div key={label} className="contents">
              <dt className="text-ink-2">{label}</dt>
              <dd>{value}</dd>
            </div>
          ))}
        </dl>
      );
    case 'list':
      return block.isOrdered ? (
        <ol className="mb-2 list-decimal pl-6">
          {block.items.map((item, place) => (
            <li key={`${String(place)} ${item}`}>{item}</li>
          ))}
        </ol>
      ) : (
        <ul className="mb-2 list-disc pl-6">
          {block.items.map((item, place) => (
            <li key={`${String(place)} ${item}`}>{item}</li>
          ))}
        </ul>
      );
    case 'table':
      return (
        // On a phone a wide table is moved sideways, by hand or by key.
        <div className="mb-3 overflow-x-auto" tabIndex={0} role="group" aria-label={`${block.label}, table`}>
          <table className="rows plain" aria-label={block.label}>
            <thead>
              <tr>
                {block.head.map((cell) => (
                  <th key={cell}>{cell}</th>
                ))}
              </tr>
            </thead>
            <tbody>
              {block.rows.map((row, place) => (
                <tr key={`${String(place)} ${row[0] ?? ''}`}>
                  {row.map((cell, column) => (
                    <td
                      key={block.head[column] ?? column}
                      className={column === 0 ? 'font-mono whitespace-nowrap' : undefined}
                    >
                      {cell}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      );
    case 'picture':
      return (
        <figure className="mb-3 break-inside-avoid">
          <span className="relative inline-block">
            {/* oxlint-disable-next-line nextjs/no-img-element -- a picture of this server at its own size */}
            <img
              src={srcOf.get(block.file)}
              alt={block.caption}
              width={block.width}
              height={block.height}
              className="h-auto max-h-[420px] w-auto max-w-full"
            />
            {block.pins.map(({ number, x, y }) => (
              <span
                key={number}
                className="absolute grid h-5 w-5 -translate-x-1/2 -translate-y-1/2 place-items-center rounded-full border border-ink bg-sheet font-mono text-[11px]"
                style={{ left: `${100 * x}%`, top: `${100 * y}%` }}
              >
                {number}
              </span>
            ))}
          </span>
          <figcaption className="text-[12px] text-ink-2">
            {block.caption}
            {block.pins
              .filter(({ note }) => note !== '')
              .map(({ number, note }) => `; ${String(number)} ${note}`)
              .join('')}
          </figcaption>
        </figure>
      );
    case 'plot':
      return <Drawn svg={plotSvg(block.lines, block.caption)} caption={block.caption} />;
    case 'drawing':
      return <Drawn svg={block.svg} caption={block.caption} />;
  }
}

function Drawn({ svg, caption }: { svg: string; caption: string }) {
  return (
    <figure className="mb-3 break-inside-avoid bg-white">
      <div
        className="[&_svg]:h-auto [&_svg]:max-h-[560px] [&_svg]:w-full"
        // The drawing is our own, with every text of it escaped.
        dangerouslySetInnerHTML={{ __html: svg }}
      />
      <figcaption className="bg-sheet text-[12px] text-ink-2">{caption}</figcaption>
    </figure>
  );
}

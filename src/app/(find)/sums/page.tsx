import { SumList } from '../../../features/sums/SumList';
import { Evidence } from '../../../ui/frame/Halves';
import { PageHead } from '../../../ui/frame/Page';
import { word, type Search } from '../../search';

export const metadata = { title: 'Sums' };

export default async function SumsPage({ searchParams }: { searchParams: Search }) {
  const from = word((await searchParams).from) || undefined;
  return (
    <>
      <PageHead
        title="Sums"
        subtitle={
          from === undefined
            ? 'Every calculation done on an envelope, by the question it answers'
            : `For ${from}: what comes of one can be kept with it`
        }
      />
      <Evidence>
        <p className="mb-4 max-w-[72ch] text-[13.5px] text-ink-2">
          Each answers while you type, says why, and can be linked as it stands. Type its name and values into the line
          below: <span className="q">snubber 4M4 100p 3M1</span>.
        </p>
        <SumList from={from} />
      </Evidence>
    </>
  );
}

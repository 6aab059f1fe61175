import Link from '../../../../../ui/frame/Link';
import { notFound } from 'next/navigation';
import { circuitById } from '../../../../../core/whatif';
import { WhatIfSheet } from '../../../../../features/whatif/WhatIfSheet';
import { routes } from '../../../../../routes';
import { PageHead } from '../../../../../ui/frame/Page';

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export async function generateMetadata({ params }: Props) {
  const circuit = circuitById((await params).id);
  return { title: circuit ? `What if: ${circuit.name}` : 'What if' };
}

export default async function WhatIfCircuitPage({ params, searchParams }: Props) {
  const [{ id }, asked] = await Promise.all([params, searchParams]);
  const circuit = circuitById(id);
  if (!circuit) notFound();
  const query = new URLSearchParams(
    Object.entries(asked).flatMap(([name, value]) => (typeof value === 'string' ? [[name, value]] : [])),
  );
  return (
    <>
      <PageHead
        title={`What if: ${circuit.name}`}
        subtitle={circuit.message}
        actions={
          <Link href={routes.whatIf()} className="btn">
            Another circuit
          </Link>
        }
      />
      <WhatIfSheet key={id} id={id} query={query.toString()} />
    </>
  );
}

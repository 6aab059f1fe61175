import { notFound } from 'next/navigation';
import { circuitById } from '../../../../../core/whatif';
import { topologyView } from '../../../../../features/whatif/topology.server';
import { TopologyGuide } from '../../../../../features/whatif/TopologyGuide';
import { PageHead } from '../../../../../ui/frame/Page';

interface Props {
  readonly params: Promise<{ id: string }>;
}

export async function generateMetadata({ params }: Props) {
  return { title: circuitById((await params).id)?.name ?? 'Topology' };
}

export default async function TopologyPage({ params }: Props) {
  const { id } = await params;
  const circuit = circuitById(id);
  const view = topologyView(id);
  if (!circuit || !view) notFound();
  return (
    <>
      <PageHead title={circuit.name} subtitle={`Guide; ${circuit.message}`} />
      <TopologyGuide circuit={circuit} view={view} />
    </>
  );
}

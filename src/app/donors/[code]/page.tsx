import { notFound, redirect } from 'next/navigation';
import { stationInHandOf } from '../../../features/donor/shared/view.server';

/** A donor's address leads to where its work stands. */
export default async function DonorIndex({ params }: { params: Promise<{ code: string }> }) {
  const href = await stationInHandOf((await params).code);
  if (!href) notFound();
  redirect(href);
}

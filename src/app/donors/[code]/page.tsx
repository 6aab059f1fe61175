import { notFound, redirect } from 'next/navigation';
import { loadAddressInHand } from '../../../features/donor/shared/load.server';

/** A donor's address leads to where its work stands. */
export default async function DonorIndex({ params }: { params: Promise<{ code: string }> }) {
  const href = await loadAddressInHand((await params).code);
  if (!href) notFound();
  redirect(href);
}

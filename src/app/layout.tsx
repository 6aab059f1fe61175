import type { Metadata, Viewport } from 'next';
import { cookies, headers } from 'next/headers';
import type { ReactNode } from 'react';
import { redoAction, undoAction } from '../features/donor/shared/actions';
import { MeterRoot } from '../features/shop/MeterRoot';
import { loadMeterLabel } from '../features/shop/pages.server';
import { Follow } from '../ui/command/Follow';
import { Notices } from '../ui/feedback/Notices';
import { UnsavedGuard } from '../ui/form/UnsavedGuard';
import { Rail } from '../ui/frame/Rail';
import { schemeOf } from '../ui/frame/scheme';
import { SchemeToggle } from '../ui/frame/SchemeToggle';
import { ShortcutRoot, Shortcuts } from '../ui/frame/Shortcuts';
import { StyleNonce } from '../ui/frame/StyleNonce';
import './globals.css';
import { routes } from '../routes';

export const metadata: Metadata = {
  title: { default: 'Zorvek', template: '%s · Zorvek' },
  description: 'A bench companion for people who salvage power supplies',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

const AREAS = [
  { href: routes.home(), label: 'Bench' },
  { href: routes.donors(), label: 'Donors' },
  { href: routes.stock(), label: 'Stock' },
  { href: routes.builds(), label: 'Builds' },
  { href: routes.sums(), label: 'Sums' },
  { href: routes.guide(), label: 'Guide' },
  { href: routes.settings(), label: 'Settings' },
];
const AREA_KEYS = [
  { key: 'b', label: 'Bench', href: routes.home() },
  { key: 'd', label: 'Donors', href: routes.donors() },
  { key: 's', label: 'Stock', href: routes.stock() },
  { key: 'w', label: 'Builds', href: routes.builds() },
  { key: 'n', label: 'a new donor', href: routes.newDonor() },
];

export default async function RootLayout({ children }: { children: ReactNode }) {
  const scheme = schemeOf((await cookies()).get('scheme')?.value);
  const nonce = (await headers()).get('x-nonce') ?? '';
  const meter = await loadMeterLabel().catch(() => '');
  return (
    <html lang="en" data-scheme={scheme}>
      <body>
        <StyleNonce nonce={nonce} />
        <ShortcutRoot>
          <Notices undo={undoAction} redo={redoAction}>
            <a href="#page" className="sr-only focus:not-sr-only">
              Skip to the page
            </a>
            <div className="frame">
              <Rail name="Zorvek" items={AREAS} foot={<SchemeToggle initial={scheme} />} />
              <MeterRoot address={meter}>{children}</MeterRoot>
            </div>
            <Follow address={routes.changes()} />
            <UnsavedGuard />
            <Shortcuts keys={AREA_KEYS} />
          </Notices>
        </ShortcutRoot>
      </body>
    </html>
  );
}

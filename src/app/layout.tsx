import type { Metadata, Viewport } from 'next';
import { cookies, headers } from 'next/headers';
import type { ReactNode } from 'react';
import '@fontsource-variable/literata/wght.css';
import '@fontsource-variable/literata/wght-italic.css';
import '@fontsource-variable/public-sans/index.css';
import { FONTS_COOKIE } from '../ui/shell/fontsCookie';
import { OwnFonts } from '../ui/shell/OwnFonts';
import { ServiceWorker } from '../ui/device/ServiceWorker';
import '../ui/theme/theme.scss';

export const metadata: Metadata = { title: { default: 'Fair Quill', template: '%s · Fair Quill' } };
export const viewport: Viewport = {
  width: 'device-width',
  initialScale: 1,
  themeColor: [
    { media: '(prefers-color-scheme: light)', color: '#e8e4da' },
    { media: '(prefers-color-scheme: dark)', color: '#1a1b1d' },
  ],
};

export default async function RootLayout({ children }: { children: ReactNode }) {
  // Every page is made for its request: the policy's nonce is in it, and no build asks the database.
  await headers();
  const fonts = (await cookies()).has(FONTS_COOKIE) ? '' : undefined;
  return (
    <html lang="en-GB" data-fonts={fonts}>
      <body>
        {children}
        <OwnFonts />
        <ServiceWorker />
      </body>
    </html>
  );
}

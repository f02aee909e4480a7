import type { MetadataRoute } from 'next';
import { GO_TO } from '../ui/palette/goTo';
import { SHARE } from '../ui/device/shared';

const icon = (name: string, size: number, purpose: 'any' | 'maskable' = 'any') => ({
  src: `/icons/${name}.png`,
  sizes: `${size}x${size}`,
  type: 'image/png',
  purpose,
});

/** What a device that has the application on its home screen calls it, and where its entries there lead (W3C, Web Application Manifest). */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: '/',
    name: 'Fair Quill',
    short_name: 'Fair Quill',
    description: 'Letters to clients from templates: filled from the records, read, and sent',
    lang: 'en-GB',
    start_url: '/today',
    scope: '/',
    display: 'standalone',
    background_color: '#e8e4da',
    theme_color: '#e8e4da',
    icons: [
      icon('icon-192', 192),
      icon('icon-512', 512),
      icon('maskable-512', 512, 'maskable'),
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
    ],
    // Taken in by the service worker, with or without a connection; the page asks to whom it goes.
    share_target: {
      action: SHARE,
      method: 'POST',
      enctype: 'multipart/form-data',
      params: {
        title: 'title',
        text: 'text',
        url: 'url',
        files: [{ name: 'files', accept: ['image/*', 'application/pdf', 'text/*'] }],
      },
    },
    shortcuts: [
      { name: 'Write to …', url: `/today${GO_TO}` },
      { name: 'Clients', url: '/clients' },
      { name: 'Calendar', url: '/work/bookings/calendar' },
    ],
  };
}

'use client';

import { useEffect } from 'react';
import { FONTS_COOKIE } from './fontsCookie';

const YEAR = 365 * 24 * 60 * 60;

/** Names our fonts once the page can be used, on a device that has none yet: on a slow line they are a third of a letter. */
export function OwnFonts() {
  useEffect(() => {
    const { dataset } = document.documentElement;
    if (dataset.fonts !== undefined) return;
    dataset.fonts = '';
    void document.fonts.ready.then(() => {
      document.cookie = `${FONTS_COOKIE}=1; path=/; max-age=${YEAR}; samesite=lax`;
    });
  }, []);
  return null;
}

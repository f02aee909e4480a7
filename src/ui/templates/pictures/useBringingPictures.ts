'use client';

import { useCallback } from 'react';
import type { TemplateEditor } from '../../editor/templateEditor';
import { bringPicture } from '../../files/bringPicture';
import { useBringing, type Bringing } from '../../files/useBringing';

/** As wide as a picture stands in a letter at first, in pixels. */
const FIRST_WIDTH = 480;

/** Brings pictures onto a page that were chosen, dropped or pasted: each stands, once it is there, where it was put. */
export function useBringingPictures(): {
  bringing: readonly Bringing[];
  bring: (editor: TemplateEditor, file: File, at: number) => void;
} {
  const { bringing, bring: begin } = useBringing();
  const bring = useCallback(
    (editor: TemplateEditor, file: File, at: number) => {
      const place = editor.follow(at);
      begin(file, async (on) => {
        const brought = await bringPicture(file, on);
        if ('trouble' in brought) return brought;
        // Called off when it was there already.
        if (on.signal.aborted) return undefined;
        editor.putPicture(place(), {
          source: [{ type: 'text', text: brought.sha256 }],
          description: [],
          width: Math.min(brought.width, FIRST_WIDTH),
        });
        return brought.note === undefined ? undefined : { trouble: brought.note };
      });
    },
    [begin],
  );
  return { bringing, bring };
}

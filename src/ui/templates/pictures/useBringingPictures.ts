'use client';

import { useCallback } from 'react';
import type { TemplateEditor } from '../../editor/templateEditor';
import { useBringing, type Bringing } from '../bringing/useBringing';
import { bringPicture } from './bringPicture';

/** As wide as a picture stands in a letter at first, in pixels. */
const FIRST_WIDTH = 480;

/** Brings pictures onto a page that were chosen, dropped or pasted: each stands, once it is there, where it was put. */
export function useBringingPictures(): {
  bringing: readonly Bringing[];
  bring: (editor: TemplateEditor, file: File, at: number) => void;
} {
  const { bringing, tell, leave } = useBringing();
  const bring = useCallback(
    (editor: TemplateEditor, file: File, at: number) => {
      const place = editor.follow(at);
      const go = async () => {
        tell(file, { share: 0 });
        const brought = await bringPicture(file, (share) => tell(file, { share }));
        if ('trouble' in brought) {
          const { trouble, again } = brought;
          return tell(file, {
            share: 0,
            trouble,
            ...(again ? { acts: [['Try again', () => void go()]] as const } : {}),
          });
        }
        editor.putPicture(place(), {
          source: [{ type: 'text', text: brought.sha256 }],
          description: [],
          width: Math.min(brought.width, FIRST_WIDTH),
        });
        if (brought.note) tell(file, { share: 1, trouble: brought.note });
        else leave(file);
      };
      void go();
    },
    [tell, leave],
  );
  return { bringing, bring };
}

'use client';

import { useState } from 'react';

/** A letter as its reader sees it: in a frame of its own in which nothing runs, as long as the letter is. */
export function LetterFrame({
  id,
  title,
  pictures = false,
}: {
  id: string;
  title: string;
  /** of one that came in: those from elsewhere, too */
  pictures?: boolean;
}) {
  const [height, setHeight] = useState(320);
  return (
    <iframe
      className="letter-frame"
      sandbox="allow-same-origin"
      src={`/letter-html/${id}${pictures ? '?pictures=elsewhere' : ''}`}
      title={title}
      height={height}
      onLoad={(event) => {
        const content = event.currentTarget.contentDocument?.documentElement;
        if (content) setHeight(content.scrollHeight + 8);
      }}
    />
  );
}

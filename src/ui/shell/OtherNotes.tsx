'use client';

import { RemovedNote } from '../records/RemovedNote';
import { ShelfNotes } from '../sending/ShelfNotes';
import { Notices } from '../telling/Notices';

/** What is told on every page and belongs to none: letters that wait on the device, what has come in, what was removed just now. */
export default function OtherNotes({ owner }: { owner: string }) {
  return (
    <>
      <ShelfNotes owner={owner} />
      <Notices owner={owner} />
      <RemovedNote />
    </>
  );
}

import type { RefObject } from 'react';

interface Props {
  label: string;
  /** what opens the browser's own dialog clicks it */
  chooser: RefObject<HTMLInputElement | null>;
  /** media types; absent: any */
  accept?: string;
  /** whether they are taken by the device's camera */
  camera?: boolean;
  onFile: (file: File) => void;
}

/** Has files chosen in the browser's own dialog; it is not seen itself. */
export function FileInput({ label, chooser, accept, camera, onFile }: Props) {
  return (
    <input
      ref={chooser}
      type="file"
      accept={accept}
      multiple={!camera}
      {...(camera ? { capture: 'environment' as const } : {})}
      hidden
      aria-label={label}
      onChange={({ target }) => {
        for (const file of target.files ?? []) onFile(file);
        // The same one can be chosen again.
        target.value = '';
      }}
    />
  );
}

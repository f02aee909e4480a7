import type { ShownFile } from '../../core/contract/files';
import { endingOf } from '../../core/files/fileNames';

interface Props extends Pick<ShownFile, 'name' | 'picture' | 'preview'> {
  /** where it is had from */
  href: string;
}

/** A picture small, with the whole one behind it; another file by what its name ends in. */
export function FilePreview({ name, href, picture, preview }: Props) {
  if (!picture)
    return (
      <a href={href} download={name} className="file-preview" tabIndex={-1} aria-hidden="true">
        {endingOf(name).toUpperCase() || 'FILE'}
      </a>
    );
  return (
    <a
      href={`/api/pictures/${picture}`}
      target="_blank"
      rel="noreferrer"
      className="file-preview"
      aria-label={`${name}, by itself`}
    >
      {/* Scaled when it was brought in. */}
      <img src={`/api/pictures/${preview}`} alt="" loading="lazy" />
    </a>
  );
}

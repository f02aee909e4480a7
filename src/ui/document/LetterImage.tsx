import { pictureAddress } from './pictureAddress';

interface Props {
  source: string;
  description: string;
  width?: number | undefined;
}

/** A picture as it stands in a letter; one that is not the business's own is shown by its description. */
export function LetterImage({ source, description, width }: Props) {
  const address = pictureAddress(source);
  if (!address) return <span className="letter-image">{description || 'Picture'}</span>;
  return <img className="letter-picture" src={address} alt={description} width={width} />;
}

import type { AddressData } from '../../records/recordsFile';
import { addressLines } from '../formats/address';
import { phoneNumber } from '../formats/phone';
import { showImage, showLink } from '../show';
import { form, type StepTable } from './meaning';

/** The steps of telephone numbers. */
export const PHONE_STEPS: StepTable = {
  local: form((number: string, run) => phoneNumber(number, 'local', run.formats.settings.home)),
  international: form((number: string, run) =>
    phoneNumber(number, 'international', run.formats.settings.home),
  ),
};

/** The steps of addresses. */
export const ADDRESS_STEPS: StepTable = {
  'one line': form((address: AddressData, run) =>
    addressLines(address, run.formats.settings.home).join(', '),
  ),
  lines: form((address: AddressData, run) => addressLines(address, run.formats.settings.home).join('\n')),
  town: () => ({ type: { kind: 'text' }, apply: (address: AddressData) => address.town || undefined }),
};

/** The steps of links. */
export const LINK_STEPS: StepTable = {
  as: ({ words }, type, { inLink }) =>
    words.length === 2
      ? 'A link reads as one text: as "our page".'
      : { type, apply: (address) => address, show: showLink(words[0], false, inLink) },
  button: ({ words }, type, { inLink }) => ({
    type,
    apply: (address) => address,
    show: showLink(words, true, inLink),
  }),
};

/** The steps of pictures. */
export const IMAGE_STEPS: StepTable = {
  width: ({ pixels }, type) =>
    pixels >= 1 && pixels <= 9999
      ? { type, apply: (image) => image, show: showImage(pixels) }
      : 'The width of an image is a whole number from 1 to 9999.',
};

/** The steps of yes and no. */
export const YES_NO_STEPS: StepTable = {
  as: ({ words }) => {
    const [yes, no] = words;
    if (no === undefined) return 'yes and no need a text each: as "with" "without".';
    return { type: { kind: 'text' }, apply: (value: boolean) => (value ? yes : no) };
  },
};

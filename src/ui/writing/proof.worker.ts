import { tellCountries } from '../../core/fill/formats/phones/tellCountries';
import { proofLetter } from '../../core/writing/proofLetter';
import { WritingDesk } from '../../core/writing/writingDesk';
import type { Proofread, ToProofer } from './proofer';

let desk: WritingDesk | undefined;

onmessage = ({ data }: MessageEvent<ToProofer>) => {
  switch (data.type) {
    case 'facts':
      tellCountries(data.phones);
      desk = new WritingDesk(data.facts);
      return;
    case 'template':
      return desk?.bring(data.template);
    case 'proof': {
      const { id, start, letter, lookedUp } = data;
      const filled = desk?.fill(start, letter.choices);
      const { marks, addressing } = filled ? proofLetter(letter.document, filled, lookedUp) : {};
      const proofread: Proofread = { id, ...(marks && addressing ? { found: { marks, addressing } } : {}) };
      return postMessage(proofread);
    }
  }
};

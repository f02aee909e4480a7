import type { Check } from '../proofMark';

/** What is another client's in a letter is there by mistake more often than not. */
export const checkOtherClients: Check = ({ others, lines }) =>
  others.flatMap(({ words, what, name }) => {
    const line = lines.find(({ text }) => text.includes(words));
    if (!line) return [];
    const from = line.text.indexOf(words);
    return [
      {
        kind: 'query' as const,
        id: `of another ${words}`,
        message: `“${words}” is ${what} ${name}, another client.`,
        at: { line: line.index, from, to: from + words.length },
      },
    ];
  });

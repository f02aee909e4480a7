/** A text with one kind of line end and no byte order mark, and where each place of it was before. */
export interface OneLineEnd {
  text: string;
  /** the place in the text as it was given */
  placeOf: (at: number) => number;
}

/** What programs of other systems put into a text, left out. */
export function oneLineEnd(given: string): OneLineEnd {
  const gone: number[] = [];
  let shorter = 0;
  const text = given.replace(/^\uFEFF|\r(?=\n)/g, (_, offset: number) => {
    gone.push(offset - shorter++);
    return '';
  });
  return {
    text,
    placeOf: (at) => {
      // As many as stand before it, by halving.
      let [low, high] = [0, gone.length];
      while (low < high) {
        const middle = (low + high) >> 1;
        if (gone[middle]! <= at) low = middle + 1;
        else high = middle;
      }
      return at + low;
    },
  };
}

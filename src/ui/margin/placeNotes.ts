const GAP = 8;

/**
 * Puts each note at the line of its field. Where two would overlap the lower one moves down; the open note keeps its
 * line, and those above it move up. Does nothing where the margin is no column.
 */
export function placeNotes(margin: HTMLElement, page: HTMLElement): void {
  const notes = [...margin.querySelectorAll<HTMLElement>(':scope > .note')];
  if (getComputedStyle(margin).position !== 'relative') {
    for (const note of notes) note.style.removeProperty('top');
    return;
  }
  const top = margin.getBoundingClientRect().top;
  const placed = notes
    .map((note) => ({
      note,
      wanted: lineOf(page, note) - top,
      height: note.offsetHeight,
      open: note.classList.contains('note-open'),
    }))
    .sort((a, b) => a.wanted - b.wanted);
  const tops = placed.map(({ wanted }) => wanted);
  for (let i = 1; i < placed.length; i++) {
    tops[i] = Math.max(tops[i]!, tops[i - 1]! + placed[i - 1]!.height + GAP);
  }
  const open = placed.findIndex((one) => one.open);
  if (open >= 0) {
    tops[open] = placed[open]!.wanted;
    for (let i = open - 1; i >= 0; i--) tops[i] = Math.min(tops[i]!, tops[i + 1]! - placed[i]!.height - GAP);
    for (let i = open + 1; i < placed.length; i++) {
      tops[i] = Math.max(placed[i]!.wanted, tops[i - 1]! + placed[i - 1]!.height + GAP);
    }
  }
  placed.forEach(({ note }, i) => {
    note.style.top = `${Math.round(tops[i]!)}px`;
  });
  const last = placed.length - 1;
  margin.style.minHeight = last < 0 ? '' : `${Math.ceil(tops[last]! + placed[last]!.height + 16)}px`;
}

function lineOf(page: HTMLElement, note: HTMLElement): number {
  const [id] = (note.dataset.for ?? '').split(' ');
  const place = page.querySelector(`[data-id="${CSS.escape(id!)}"]`);
  return (place ?? page).getBoundingClientRect().top - 4;
}

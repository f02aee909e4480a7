const GAP = 8;

/**
 * Puts each note at the line of its field. Where two would overlap the lower one moves down; the open note keeps its
 * line as far as there is room for those above it. Where the margin is no column the open note lies over the
 * page, which then scrolls until its field is in sight.
 */
export function placeNotes(margin: HTMLElement, page: HTMLElement): void {
  const notes = [...margin.querySelectorAll<HTMLElement>(':scope > .note')];
  if (getComputedStyle(margin).position !== 'relative') {
    for (const note of notes) note.style.removeProperty('top');
    const open = notes.find((note) => note.classList.contains('note-open'));
    const covered =
      open && placeOf(page, open).getBoundingClientRect().bottom - open.getBoundingClientRect().top;
    if (covered && covered > 0) window.scrollBy({ top: covered + GAP });
    return;
  }
  const top = margin.getBoundingClientRect().top;
  const placed = notes
    .map((note) => ({
      note,
      // The fact that is open stands at its line, its record above it.
      wanted: lineOf(page, note) - top - (note.querySelector<HTMLElement>('.fact-open')?.offsetTop ?? 0),
      height: note.offsetHeight,
      open: note.classList.contains('note-open'),
    }))
    .sort((a, b) => a.wanted - b.wanted);
  const tops = placed.map(({ wanted }) => wanted);
  for (let i = placed.findIndex(({ open }) => open) - 1; i >= 0; i--) {
    tops[i] = Math.min(tops[i]!, tops[i + 1]! - placed[i]!.height - GAP);
  }
  for (let i = 0; i < placed.length; i++) {
    tops[i] = Math.max(tops[i]!, i ? tops[i - 1]! + placed[i - 1]!.height + GAP : 0);
  }
  placed.forEach(({ note, wanted }, i) => {
    note.style.top = `${Math.round(tops[i]!)}px`;
    // Its line leads up to where the field stands.
    note.style.setProperty('--below', `${Math.round(tops[i]! - wanted)}px`);
  });
  const last = placed.length - 1;
  margin.style.minHeight = last < 0 ? '' : `${Math.ceil(tops[last]! + placed[last]!.height + 16)}px`;
}

function lineOf(page: HTMLElement, note: HTMLElement): number {
  return placeOf(page, note).getBoundingClientRect().top - 4;
}

function placeOf(page: HTMLElement, note: HTMLElement): Element {
  return page.querySelector(`[data-id="${CSS.escape(note.dataset.for ?? '')}"]`) ?? page;
}

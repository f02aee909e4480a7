import { readDay } from '../../dates/civil';
import { formatsOf } from '../../fill/formats/formatsOf';
import { clientName } from '../clientName';
import type { OccasionRule } from '../occasion';

/** A week after it was finished it has been played; after three it has been forgotten. */
const [FROM, UNTIL] = [7, 21];

/**
 * A job that is finished and was not thanked for. Begins a week after its end; ends with any letter about it since its
 * end, and three weeks after it.
 */
export const jobFinished: OccasionRule = (book, letters) =>
  [...book.projects.values()].flatMap((project) => {
    const ended = readDay(project.ends_on ?? '');
    if (project.status !== 'finished' || ended === undefined) return [];
    const days = book.today - ended;
    if (days < FROM || days > UNTIL || letters.anySince('project', project.key, ended)) return [];
    return [
      {
        act: 'job finished',
        start: { kind: 'project', key: project.key },
        since: ended + FROM,
        name: clientName(book, project.client),
        reason: `${project.title ?? 'The job'}, finished ${formatsOf(book).fromNow(ended, book.today)}`,
        ...(project.responsible ? { member: project.responsible } : {}),
        rank: 300,
      },
    ];
  });

import { startOf, type RecordBook } from '../recordBook';
import type { ClientData, ProjectData } from '../recordsFile';
import { choice, rank, type Choice } from './choice';

/** A client's project with the next visit, else the newest not finished or cancelled, else the newest. */
export function projectOf(book: RecordBook, client: ClientData | undefined): Choice<ProjectData> | undefined {
  const projects = book.ofClient(client).projects;
  const soonest = projects
    .map((project) => ({ project, next: book.nextOf(book.ofProject(project).bookings) }))
    .filter(({ next }) => next)
    .sort((a, b) => startOf(a.next!) - startOf(b.next!))[0];
  if (soonest) return choice(soonest.project, `the project with the next ${book.words.booking}`, projects);
  const going = projects.filter(({ status }) => status !== 'finished' && status !== 'cancelled');
  if (going.length) {
    return choice(going.at(-1), rank('newest', going, 'project under way', 'projects under way'), projects);
  }
  return choice(projects.at(-1), rank('newest', projects, 'project', 'projects'), projects);
}

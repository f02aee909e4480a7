import { main } from './command/main';
import { runFill } from './fill/runFill';

await main('fill', runFill);

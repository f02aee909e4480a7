import { main } from './command/main';
import { runAdopt } from './adopt/runAdopt';

await main('adopt', runAdopt);

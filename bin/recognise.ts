import { main } from './command/main';
import { runRecognise } from './recognise/runRecognise';

await main('recognise', runRecognise);

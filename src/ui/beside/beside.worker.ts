/** What is done beside the page. All of it begins in this one script: see startBeside. */
const WORK = {
  bringing: () => import('../bringing/bringingBeside'),
  holes: () => import('../templates/holes/holesBeside'),
  proof: () => import('../writing/proofBeside'),
  recognise: () => import('../templates/fromLetter/recogniseBeside'),
};

export type Work = keyof typeof WORK;

type Hear = (event: MessageEvent) => void;

const waiting: MessageEvent[] = [];

onmessage = ({ data }: MessageEvent<Work>) => {
  // What is said until its work is here is heard then.
  onmessage = (event: MessageEvent) => void waiting.push(event);
  WORK[data]().then(
    ({ hear }) => {
      onmessage = hear as Hear;
      waiting.forEach(hear as Hear);
    },
    (error: unknown) =>
      // Whoever waits for it is told as of any mistake of a worker.
      setTimeout(() => {
        throw error;
      }),
  );
};

/** A request that is refused before anything in it is looked at: the words and the status to refuse it with. */
export class Refused extends Error {
  constructor(
    message: string,
    readonly status: number,
  ) {
    super(message);
  }

  answer(): Response {
    return Response.json({ error: this.message }, { status: this.status });
  }
}

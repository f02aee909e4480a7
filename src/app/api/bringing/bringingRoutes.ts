export const NO_SUCH_FILE = () =>
  Response.json({ error: 'There is no such file. Begin again with it.' }, { status: 404 });

/** A letter that the server has not taken within so many milliseconds waits on this device: given again it goes once. */
export const PATIENCE = 20_000;

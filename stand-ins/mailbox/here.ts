/** Whether an address of the web is on this machine: nothing of a letter is asked for elsewhere. */
export function isHere(address: string): boolean {
  return URL.canParse(address) && /^(?:localhost|127(?:\.\d{1,3}){3})$/.test(new URL(address).hostname);
}

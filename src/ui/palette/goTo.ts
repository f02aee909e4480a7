/** Behind the address of a place: the palette opens there. */
export const GO_TO = '#go-to';

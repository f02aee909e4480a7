/** What is said of a picture that is not there any more, or never was. */
export const NO_PICTURE = 'This picture is not there. Bring it in again.';

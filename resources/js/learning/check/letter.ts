/** What an option is called on paper and on the screen beside it. */
export const letter = (place: number) => String.fromCharCode('A'.charCodeAt(0) + place);

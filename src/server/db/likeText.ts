/** What is typed is looked for as it stands: % and _ are no wildcards. */
export const likeText = (word: string): string => word.replace(/[\\%_]/g, '\\$&');

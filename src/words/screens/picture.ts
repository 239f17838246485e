/** A file that was to be a picture. */
export const pictureWords = {
  cannotOpen: (name: string, format: string | null) =>
    `${name}${format === null ? '' : ` (${format})`} cannot be opened by this browser. Take it as JPEG, or save it as JPEG or PNG first.`,
  tooLarge: (name: string, most: string, megapixels: number) =>
    `${name} is larger than ${most}, or than ${megapixels} megapixels: take it smaller.`,
} as const;

/** A text in small letters, digits and single hyphens, for keys and file names; may be empty. */
export const slugOf = (text: string, longest: number): string =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, longest)

/** Making, weighing out and tasting: what every cook reads in a language of their own. */
export const isOfTheStation = (pathname: string): boolean =>
  /^\/(?:formulas\/[^/]+\/(?:make|taste)|practise(?:\/sure)?)$/.test(pathname);

/** The first minute of a kitchen: a jar to fill, and how this kitchen measures. */
export const firstJarWords = {
  firstJar: 'Fill a first jar',
  firstJarName: 'First jar',
  stepOfFour: (place: number, of: number, title: string) => `Step ${place} of ${of}: ${title}`,
  orTypeIt: 'Or as you would say it',
  putIn: 'Put it in',
  leaveOut: 'Leave it out',
  stepBack: 'Take the last out',
  itIsFull: 'That is a dressing. Open it: it is judged there, mended, made and tasted.',
  openIt: 'Open it',
  notReadThere: (line: string) =>
    `“${line}” could not be read. It goes in as written; name it in the next step.`,
  inPassing: 'In passing, once: how this kitchen measures',
  inTheJar: 'In the jar',
  firstSteps: [
    {
      title: 'Something sour',
      lines: ['30 ml cider vinegar', '30 ml red wine vinegar', '30 ml lemon juice', '30 ml rice vinegar'],
    },
    {
      title: 'Something that binds it',
      lines: ['1 tsp Dijon mustard', '1 tsp honey', '2 tbsp plain yoghurt', '1 tbsp tahini'],
    },
    { title: 'Salt', lines: ['¼ tsp salt', '½ tsp salt', '1 tbsp soy sauce'] },
    { title: 'The oil, last', lines: ['90 ml olive oil', '90 ml rapeseed oil', '60 ml walnut oil'] },
  ] as readonly { readonly title: string; readonly lines: readonly string[] }[],
};

/** Every route of the demo kitchen. */
export const ROUTES: readonly string[] = [
  ...['/', '/pantry', '/pantry/walnuts', '/batches', '/log', '/measures', '/plan', '/plan/week', '/settings'],
  ...[
    '/pour',
    '/from-pantry',
    '/from-label',
    '/import',
    '/tables',
    '/toolmakers',
    '/side-by-side',
    '/practise?seed=12',
    '/practise/sure',
  ],
  ...['compose', 'make', 'taste', 'batch', 'serve', 'pass', 'share', 'versions', 'log'].map(
    (stage) => `/formulas/walnut-cider/${stage}`,
  ),
  '/formulas/walnut-cider/batch/demo-batch-1',
];

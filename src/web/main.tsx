import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router';
import './withoutEval';
import './styles.css';
import { router } from './routes';
import { store } from './sync/store';

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>
  </StrictMode>,
);

// What sends is fetched once the page stands; what an older release kept is carried over first.
setTimeout(() => {
  void import('./sync/sync').then(async ({ resumeAll }) => {
    await import('./sync/before').then(({ carryOver }) => carryOver()).catch(() => undefined);
    await resumeAll();
    if (import.meta.env.PROD) await import('./sync/offline').then(({ keepProgram }) => keepProgram());
  });
}, 1500);

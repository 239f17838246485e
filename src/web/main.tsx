import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router';
import './withoutEval';
import './styles.css';
import { speakHere } from './data/here';
import { makeRouter } from './routes';
import { store } from './sync/store';
import { untilFetched } from './sync/untilFetched';

async function begin(): Promise<void> {
  await speakHere();
  createRoot(document.getElementById('root')!).render(
    <StrictMode>
      <Provider store={store}>
        <RouterProvider router={makeRouter()} />
      </Provider>
    </StrictMode>,
  );
}
void begin();

// What sends is fetched once the page stands; what an older release kept is carried over first.
setTimeout(() => {
  void untilFetched(() => import('./sync/sync')).then(async ({ resumeAll }) => {
    await import('./sync/before').then(({ carryOver }) => carryOver()).catch(() => undefined);
    await resumeAll();
    if (import.meta.env.PROD) await import('./sync/offline').then(({ keepProgram }) => keepProgram());
  });
}, 1500);

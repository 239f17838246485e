import { configureStore, createListenerMiddleware } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { useDispatch, useSelector } from 'react-redux';
import { kitchenApi } from '../data/kitchenApi';
import { outboxReducer } from './outboxSlice';
import { workReducer } from './workSlice';

/** What is to happen after something was typed; who listens says so where the page is put together. */
export const listening = createListenerMiddleware();

export const store = configureStore({
  reducer: { [kitchenApi.reducerPath]: kitchenApi.reducer, work: workReducer, outbox: outboxReducer },
  middleware: (defaults) => defaults().prepend(listening.middleware).concat(kitchenApi.middleware),
});

// Coming back to a page asks again for what may have changed meanwhile.
setupListeners(store.dispatch);

export type RootState = ReturnType<typeof store.getState>;
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();

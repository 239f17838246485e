import { configureStore } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { useDispatch, useSelector } from 'react-redux';
import { kitchenApi } from '../data/kitchenApi';
import { autosave } from './autosave';
import { outboxReducer } from './outboxSlice';
import { workingReducer } from './workingSlice';

export const store = configureStore({
  reducer: { [kitchenApi.reducerPath]: kitchenApi.reducer, working: workingReducer, outbox: outboxReducer },
  middleware: (defaults) => defaults().prepend(autosave.middleware).concat(kitchenApi.middleware),
});

// Coming back to a page asks again for what may have changed meanwhile.
setupListeners(store.dispatch);

export type RootState = ReturnType<typeof store.getState>;
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();

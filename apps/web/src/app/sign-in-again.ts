import { useCallback } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { api } from '../state/api.js';
import { useAppDispatch } from '../state/store.js';

/** Goes to the sign-in after a session has ended, and from there back to where the person was. */
export function useSignInAgain(): () => void {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  return useCallback(() => {
    // Who was signed in is asked anew: what is remembered of it is no longer true.
    dispatch(api.util.resetApiState());
    void navigate(`/sign-in?to=${encodeURIComponent(pathname)}`);
  }, [dispatch, navigate, pathname]);
}

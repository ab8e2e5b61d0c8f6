/** True the first time on this device; never where nothing can be remembered, or it would be said at every start. */
export const once = (key: string): boolean => {
  if (isSaid(key)) return false;
  try {
    localStorage.setItem(key, '1');
    return true;
  } catch {
    return false;
  }
};

/** Whether it was said already, or cannot be remembered. */
export const isSaid = (key: string): boolean => {
  try {
    return localStorage.getItem(key) !== null;
  } catch {
    return true;
  }
};

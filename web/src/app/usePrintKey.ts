import { useEffect } from 'react';
import { useLocation, useNavigate } from 'react-router';

/** On the pages of a project the browser's own print shortcut leads to its print view: what is on the screen is no sheet. */
export function usePrintKey(): void {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  useEffect(() => {
    const project = /^\/works\/([^/]+)\/(?!print)/.exec(pathname)?.[1];
    if (!project) return;
    const press = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey || event.key.toLowerCase() !== 'p') return;
      event.preventDefault();
      navigate(`/works/${project}/print`);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [pathname, navigate]);
}

import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { droppedFile } from '../parts/dropped.ts';

/** A file that is dropped anywhere on the window is opened: looked into, and asked about before anything is done. */
export function useDrop(): void {
  const navigate = useNavigate();
  useEffect(() => {
    const isFile = (event: DragEvent) => event.dataTransfer?.types.includes('Files') === true;
    const over = (event: DragEvent) => {
      if (isFile(event)) event.preventDefault();
    };
    const drop = (event: DragEvent) => {
      const [file] = event.dataTransfer?.files ?? [];
      if (!isFile(event)) return;
      // Else the browser would leave the page for the file.
      event.preventDefault();
      if (!file) return;
      droppedFile.put(file);
      navigate('/open');
    };
    window.addEventListener('dragover', over);
    window.addEventListener('drop', drop);
    return () => {
      window.removeEventListener('dragover', over);
      window.removeEventListener('drop', drop);
    };
  }, [navigate]);
}

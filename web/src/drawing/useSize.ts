import { useElementSize } from '@mantine/hooks';

/** The room a drawing has, in pixels; drawings are laid out anew when it changes, so their text keeps its size. */
export function useSize() {
  const { ref, width, height } = useElementSize<HTMLDivElement>();
  return { ref, width, height, ready: width > 40 && height > 40 };
}

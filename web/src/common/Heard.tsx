/** Words that only a screen reader says; the names of buttons are so made of what they show and what it means. */
export const Heard = ({ children }: { children: string }) => (
  <span className="visually-hidden"> {children} </span>
);

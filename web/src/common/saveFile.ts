/** Hands a text to the browser as a file to keep. */
export function saveFile(name: string, type: string, text: string): void {
  const link = window.document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type }));
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}

/** The name of a job as the name of a file. */
export const fileName = (job: string): string => job.replace(/[^\p{L}\p{N} -]/gu, '') || 'job';

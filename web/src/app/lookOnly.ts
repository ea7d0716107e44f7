import { createTheme } from '@mantine/core';
import type { StepName } from '../api/client';
import type { Role } from '../own/session';

// What is shut can still be read.
const shut = { defaultProps: { disabled: true }, styles: { input: { opacity: 1, color: 'inherit' } } };
const readOnly = { defaultProps: { readOnly: true } };

/**
 * Where a device only looks, fields take no typing and keys are shut, instead of taking it and forgetting it. What changes nothing says
 * `disabled={false}` of itself, and what is shut for a reason of its own `disabled={reason || undefined}`; views, drawings and Why? are no such keys.
 */
export const lookOnly = createTheme({
  components: {
    Button: { defaultProps: { disabled: true } },
    ActionIcon: { defaultProps: { disabled: true } },
    Checkbox: { defaultProps: { disabled: true } },
    NativeSelect: shut,
    TextInput: readOnly,
    Textarea: readOnly,
  },
});

/** Steps that say what the job is. */
const said = new Set<string>(['shape', 'build', 'mix', 'load', 'buy', 'day'] satisfies StepName[]);
/** Views where something is told, or ticked off. */
const told = new Set<string>(['cure', 'lookBack', 'tasks', 'shop']);

/** This device changes nothing in that view of a job. */
export const looksOnly = (role: Role, view: string): boolean =>
  role !== 'plan' && (said.has(view) || (role === 'look' && told.has(view)));

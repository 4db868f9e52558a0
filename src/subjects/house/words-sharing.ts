/** What a paired device is told that asks for what is done at the machine alone. */
export const AT_MACHINE_WORDS = 'this is done at the machine itself, not on a paired device.';

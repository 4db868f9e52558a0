/** Answer to a paired device that asks for what only the server's computer may do. */
export const AT_MACHINE_WORDS = 'do this on the computer that runs the server, not on a paired device.';

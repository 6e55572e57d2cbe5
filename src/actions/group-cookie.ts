/** Where a device keeps which group was chosen last. */
export const GROUP_COOKIE = 'bouncy-echo-group';

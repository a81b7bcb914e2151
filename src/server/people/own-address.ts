/** Whether a request comes from the machine that Mulch runs on. */
export const isOwnAddress = (address: string): boolean =>
  ['127.0.0.1', '::1', '::ffff:127.0.0.1'].includes(address);

export function lanAddresses(): string[];
export function fingerprintOf(pem: string | Buffer): string;
export function lanCertificate(
  data: string,
  addresses: readonly string[],
): Promise<{ key: string; certificate: string; fingerprint: string }>;

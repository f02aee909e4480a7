/** What a server says of a letter to one address. */
export interface ReportedDelivery {
  /** empty where the report does not say */
  address: string;
  /** `delayed`: it is still tried */
  state: 'bounced' | 'delayed' | 'delivered';
  /** the enhanced status code (RFC 3463), as 5.1.1; empty where there is none */
  status: string;
  /** what the server said, on one line */
  words: string;
}

/** An address without what is around it. */
export function addressIn(text: string): string {
  return text.replace(/^[<\s]+|[>\s]+$/g, '').toLowerCase();
}

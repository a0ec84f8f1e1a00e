/** One part of a report: lines of text, a table, or both. Plain text throughout; whoever prints it escapes it. */
export interface ReportSection {
  id: string;
  title: string;
  lines: string[];
  table?: { head: string[]; rows: string[][] };
}

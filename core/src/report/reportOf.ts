import type { Job } from '../check/job/jobSchema.ts';
import { noWorkshop, type Workshop } from '../catalogue/kit/workshopSchema.ts';
import { measurementById } from '../circuit/measurements/list.ts';
import type { Interval } from '../base/numeric/interval.ts';
import type { Assessment } from '../inference/verdict/assessment.ts';
import { closingName } from '../wording/closingName.ts';
import { customerPage } from './customerPage.ts';
import type { PageOptions, ReportSection } from './reportSection.ts';
import { technicalPage } from './technicalPage.ts';

/** Which pages a report has. */
export type ReportPages = 'both' | 'technical' | 'customer';

export interface Report {
  title: string;
  subtitle: string;
  /** Who measured: empty strings where it is not told. */
  head: { workshop: string; contact: string };
  /** The letter to the customer; empty where it is not wanted. */
  customer: ReportSection[];
  /** The technical page; empty where it is not wanted. */
  sections: ReportSection[];
  cautions: string[];
  /** What stands under the lines to be signed on. */
  signatures: string[];
}

export interface ReportOptions extends PageOptions {
  workshop?: Workshop;
  pages?: ReportPages;
}

/** A job as a report, with the pages that are wanted. */
export function reportOf(
  job: Job,
  assessment: Assessment | null,
  proofHealthy: Readonly<Record<string, Interval>> | null,
  options: ReportOptions,
): Report {
  const { workshop = noWorkshop(), pages = 'both' } = options;
  return {
    title: job.title || 'Untitled check',
    subtitle: [
      job.machine,
      `begun ${options.when(job.createdAt)}`,
      job.closed ? `closed ${options.when(job.closed.at)}, ${closingName(job.closed.how)}` : 'open',
    ]
      .filter(Boolean)
      .join(' · '),
    head: { workshop: workshop.name.trim(), contact: workshop.contact.trim() },
    customer:
      pages === 'technical'
        ? []
        : customerPage(job, assessment, proofHealthy, { ...options, technician: workshop.technician }),
    sections: pages === 'customer' ? [] : technicalPage(job, assessment, proofHealthy, options),
    cautions: cautionsOf(job),
    signatures: [['Technician', workshop.technician.trim()].filter(Boolean).join(': '), 'Customer'].map(
      (who) => `${who} · date`,
    ),
  };
}

/** The cautions of the tests that were done, each once, and the one that always stands. */
function cautionsOf(job: Job): string[] {
  const done = job.readings.filter((r) => !r.voided).map((r) => measurementById(r.measurement).caution);
  const field = {
    engine: 'Cooling systems are opened cold only; fans start on their own.',
    climate: 'Refrigerant circuits: qualified persons only.',
    boiler: 'Mains, gas and combustion are for licensed persons, by the maker’s instructions and local codes.',
  }[job.field];
  const standing = 'This report advises. The maker’s data, local codes and the licensed practitioner decide.';
  return [...new Set([...done.filter((c): c is NonNullable<typeof c> => c !== null), field, standing])];
}

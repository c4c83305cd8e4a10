import { JOBS, type JobInput, type JobName, type JobOutput } from './jobs';

/** What a thread of the pool does; built by itself, see `astro.config.mjs`. */
export default function work<Name extends JobName>({
  name,
  input,
}: {
  readonly name: Name;
  readonly input: JobInput<Name>;
}): JobOutput<Name> {
  const job = JOBS[name] as (given: JobInput<Name>) => JobOutput<Name>;
  return job(input);
}

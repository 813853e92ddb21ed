import * as ask from '$lib/server/api/ask';
import { AddCareEvents, BringThing, DescribeThing, SaveRules } from '$lib/inventory/care';
import { FitRequest, FitResponse } from '$lib/server/api/fit';
import { ForgetHand, HandSummary } from '$lib/inventory/hand';
import { KnotCurves, KnotList } from '$lib/server/api/knot-curves';
import { ChooseKnotRequest, ChooseKnotResponse } from '$lib/server/api/choose-knot';
import { Practice, Practised, Season } from '$lib/bench/practice';
import { AddEvents, Ended, EndRun, RunEvents, StartRun } from '$lib/bench/run';
import { ComponentForm, CreateSetup, SaveSetup, SaveWays, SpoolForm } from '$lib/setup/form';
import { WriteRecord } from '$lib/inventory/winding';
import { SwapRequest, SwapResponse } from '$lib/server/api/swap';
import { MendText } from '$lib/inventory/unreadable';
import { TwistRequest, TwistResponse } from '$lib/server/api/twist';
import { z } from 'zod';
import { createDocument } from 'zod-openapi';
import { acting, id, jsonOf, missing, refusals, stale, taking, writeId, writing } from './openapi-parts';

const Version = z.object({ version: z.number().int() });
const Created = z.object({ id: z.string(), spoolId: z.string(), version: z.number().int() });
const Spools = z.object({
	spools: z.array(z.object({ id: z.string(), form: SpoolForm, version: z.number().int() }))
});
const Hands = z.object({ hands: z.array(HandSummary) });
const tableAndId = z.object({ table: z.string(), ...id });
const asked = (summary: string, body: z.ZodType, answer: z.ZodType) => ({
	post: taking(summary, body, { '200': jsonOf(answer, 'The answer.') })
});

const ASKED = {
	'/api/half-fit': asked('The line wound alone, its depth read', ask.HalfFitRequest, ask.HalfFitResponse),
	'/api/checkpoint': asked('A pause in winding', ask.CheckpointRequest, ask.CheckpointResponse),
	'/api/correct': asked('The gap seen, the backing put right', ask.CorrectRequest, ask.CorrectResponse),
	'/api/risk': asked('How sure, by simulation', ask.RiskRequest, ask.RiskResponse),
	'/api/match': asked('Every spool with every line', ask.MatchRequest, ask.MatchResponse),
	'/api/shared-backing': asked(
		'One backing under many lines',
		ask.SharedBackingRequest,
		ask.SharedBackingResponse
	),
	'/api/methods': asked('What each method would do here', ask.MethodsRequest, ask.MethodsResponse),
	'/api/reverse-fill': asked('Line first, backing over it', ask.ReverseFillRequest, ask.ReverseFillResponse),
	'/api/enough': asked('What would make the backing enough', ask.EnoughRequest, ask.EnoughResponse),
	'/api/line': asked('What a line weighs and comes to', ask.LineRequest, ask.LineResponse),
	'/api/contrast': asked('Whether a joint of two colours shows', ask.ContrastRequest, ask.ContrastResponse),
	'/api/cuts': asked('What to buy and cut', ask.CutsRequest, ask.CutsResponse),
	'/api/choose-knot': asked('Which knot for a place, and why', ChooseKnotRequest, ChooseKnotResponse),
	'/api/twist': asked('What transfers add to a line, and how to get it out', TwistRequest, TwistResponse),
	'/api/runout': asked('Retrieve and drag along a run', ask.RunoutRequest, ask.RunoutResponse)
};

/** The API described from the very schemas that check it. */
export const openApiDocument = () =>
	createDocument({
		openapi: '3.1.0',
		info: {
			title: 'Wendle',
			version: '0.1.0',
			description: 'How much backing fits under a fly line, and when to stop winding. Units are in the names.'
		},
		paths: {
			'/api/fit': {
				post: taking('Fit a stack on a spool', FitRequest, { '200': jsonOf(FitResponse, 'The fit.') })
			},
			...ASKED,
			'/api/setups': {
				post: writing('Save a new set-up', CreateSetup, {
					'201': jsonOf(Created, 'Saved.'),
					...missing,
					...stale
				})
			},
			'/api/setups/{id}': {
				put: writing(
					'Save a set-up over the version last seen; its version counts the changes of its spool as well',
					SaveSetup,
					{ '200': jsonOf(Version, 'Saved.'), ...stale, ...missing },
					z.object(id)
				),
				delete: acting('Drop a plan that nobody wound')
			},
			'/api/setups/{id}/restore': { post: acting('Take up a plan again that was dropped') },
			'/api/setups/{id}/ways': {
				put: writing(
					'Change how a set-up is wound and tied',
					SaveWays,
					{ '200': jsonOf(Version, 'Done.'), ...stale, ...missing },
					z.object(id)
				)
			},
			'/api/setups/{id}/records': {
				post: writing(
					'Write down how a winding turned out',
					WriteRecord,
					{ '201': jsonOf(z.object(id), 'Written down.'), ...missing, ...stale },
					z.object(id)
				)
			},
			'/api/photos/{id}': {
				put: {
					summary: 'Keep a photo under an id of your own',
					requestParams: { path: z.object(id) },
					requestBody: { required: true, content: { 'image/jpeg': {} } },
					responses: { '204': { description: 'Kept, now or already.' }, ...refusals }
				},
				get: {
					summary: 'A photo',
					requestParams: { path: z.object(id) },
					responses: { '200': { description: 'The picture.', content: { 'image/jpeg': {} } }, ...missing }
				}
			},
			'/api/knots': {
				get: {
					summary: 'The knots that are drawn',
					responses: { '200': jsonOf(KnotList, 'With their stages.') }
				}
			},
			'/api/knots/{slug}': {
				get: {
					summary: 'The curves of a stage, in space',
					requestParams: {
						path: z.object({ slug: z.string() }),
						query: z.object({ stage: z.number().int().optional(), wraps: z.number().int().optional() })
					},
					responses: { '200': jsonOf(KnotCurves, 'The strands.'), ...missing, '422': refusals['422'] }
				}
			},
			'/api/practice': {
				get: {
					summary: 'How well each knot is known, and when it is due',
					responses: { '200': jsonOf(Practice, 'Every knot that is drawn.') }
				},
				post: taking('Count a session with a knot, once however often it is sent', Practised, {
					'200': jsonOf(Practice, 'As it is then.'),
					...missing
				}),
				put: writing('The day spools are next wound', Season, {
					'200': jsonOf(Practice, 'As it is then: what is due is due in time for it.')
				})
			},
			'/api/care': {
				get: {
					summary: 'Every line and backing: where it is, what happened to it, what falls due',
					responses: { '200': { description: 'What is overdue first.' } }
				},
				post: taking('Write down what was done, each event once however often it is sent', AddCareEvents, {
					'204': { description: 'Written down; an event of kind undone takes one back.' },
					...missing
				})
			},
			'/api/care/things': {
				post: taking(
					'A line, head or tip that lies on a coil and was never wound here, once however often it is sent',
					BringThing,
					{
						'201': jsonOf(
							z.object({ id: z.string(), version: z.number().int() }),
							'It is looked after, and can go on a spool.'
						)
					}
				)
			},
			'/api/care/things/{id}': {
				get: {
					summary: 'How a line that was brought in is described, and the version of that',
					requestParams: { path: z.object(id) },
					responses: {
						'200': jsonOf(z.object({ component: ComponentForm, version: z.number().int() }), 'As it is now.'),
						...missing
					}
				},
				put: writing(
					'Describe it differently, over the version last seen',
					DescribeThing,
					{ '200': jsonOf(Version, 'Saved.'), ...stale, ...missing },
					z.object(id)
				)
			},
			'/api/care/history': {
				get: {
					summary: 'Everything that was written of one thing, newest first, and what of it counts',
					requestParams: { query: z.object({ of: z.string() }) },
					responses: { '200': { description: 'What was taken back is there as well.' }, ...missing }
				}
			},
			'/api/swaps': {
				post: writing('Plan a swap on a spool; the bench then has its steps', SwapRequest, {
					'201': jsonOf(SwapResponse, 'Planned.'),
					...missing
				})
			},
			'/api/records/{id}': {
				delete: acting('Undo a winding: the previous line is back on the spool')
			},
			'/api/records/{id}/restore': { post: acting('Count a winding again that was undone') },
			'/api/care/rules': {
				put: writing('Other rules of what falls due', SaveRules, {
					'200': jsonOf(Version, 'They hold from now on.'),
					...stale
				}),
				delete: {
					summary: 'The usual rules again',
					requestParams: {
						header: writeId,
						query: z.object({ version: z.number().int().optional() })
					},
					responses: { '204': { description: 'Done.' }, ...stale }
				}
			},
			'/calendar.ics': {
				get: {
					summary: 'What falls due, to subscribe to',
					responses: { '200': { description: 'A calendar file.', content: { 'text/calendar': {} } } }
				}
			},
			'/api/hands': {
				get: {
					summary: 'How tightly each backing is laid, learnt from finished fills',
					responses: { '200': jsonOf(Hands, 'With the data behind it.') }
				},
				put: writing('Forget what the fills taught, or undo that', ForgetHand, {
					'200': jsonOf(Hands, 'As it is then.')
				})
			},
			'/api/runs/{id}': {
				put: {
					...taking('Start a run of a set-up under an id of your own', StartRun, {
						'204': { description: 'It is there, now or already.' },
						...missing
					}),
					requestParams: { path: z.object(id) }
				}
			},
			'/api/runs/{id}/events': {
				get: {
					summary: 'Events of a run that arrived after a number',
					requestParams: {
						path: z.object(id),
						query: z.object({ after: z.number().int().optional() })
					},
					responses: { '200': jsonOf(RunEvents, 'In the order they arrived.'), ...missing }
				},
				post: {
					...taking('Add events to a run, each once however often it is sent', AddEvents, {
						'200': jsonOf(
							z.object({ arrival: z.number().int(), ended: z.boolean() }),
							'The newest arrival, and whether the job has ended: what comes later is kept with it.'
						),
						...missing
					}),
					requestParams: { path: z.object(id) }
				}
			},
			'/api/runs/{id}/end': {
				post: {
					...taking('End a job that winds nothing new, and write down what it came to', EndRun, {
						'200': jsonOf(Ended, 'Ended; what was written down can be taken back.'),
						...missing
					}),
					requestParams: { path: z.object(id) }
				}
			},
			'/api/runs/{id}/live': {
				get: {
					summary: 'Follow a run: server-sent events, each the events that arrived',
					requestParams: { path: z.object(id) },
					responses: { '200': { description: 'A stream; Last-Event-ID goes on where it was.' }, ...missing }
				}
			},
			'/api/spools': {
				get: {
					summary: 'Every spool on the rack',
					responses: { '200': jsonOf(Spools, 'As they were described.') }
				}
			},
			'/api/unreadable/{table}/{id}': {
				get: {
					summary: 'The text of an entry that cannot be read, as it is kept',
					requestParams: { path: tableAndId },
					responses: { '200': { description: 'The text.', content: { 'application/json': {} } }, ...missing }
				},
				put: writing(
					'Keep another text in its place, if it can be read',
					MendText,
					{ '204': { description: 'Kept; what was there is an earlier version.' }, ...missing },
					tableAndId
				),
				delete: { ...acting('Take it off'), requestParams: { path: tableAndId, header: writeId } }
			},
			'/api/unreadable/{table}/{id}/former': {
				post: {
					...acting('Put the newest earlier version that can be read in its place'),
					requestParams: { path: tableAndId, header: writeId }
				}
			},
			'/api/spools/{id}': { delete: acting('Take a spool off the rack; it can be put back') },
			'/api/spools/{id}/restore': { post: acting('Put a spool back on the rack') }
		}
	});

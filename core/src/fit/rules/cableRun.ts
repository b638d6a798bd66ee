import { amount, phrase } from '../../quantity/format.ts';
import { partData } from '../rule.ts';
import { kitRule } from '../say.ts';
import { work, take, askFor } from '../remedies.ts';

/** Cables and the motor: what would be sawn, squeezed or led anew. */
export const cableRun = kitRule(
  {
    id: 'cable-run',
    words: 'Cable runs',
    group: 'leads',
    uses: ['cableRun', 'cablePort'],
    source: 'Workshop practice; a plug must pass the port it is led through.',
  },
  (_context, kit, say) => {
    const run = say.need('cableRun');
    if (run === undefined)
      return say.open('Cable runs not followed', phrase`Where the cables run decides where the new leads may go.`);
    if (run === 'underBracket' && kit.mid)
      return say.rework(
        'Cables under the bracket',
        phrase`They run under the shell, where a mid-drive’s case sits.`,
        work('lead-round', phrase`Lead the gear cable along the top or the down tube’s side.`, 40, {
          takes: take('cable-liner', 'leads'),
        }),
      );
    if (run === 'internal') {
      const plug = kit.controls?.plugM;
      const port = say.need('cablePort');
      if (plug === undefined)
        return say.open(
          'Plug size not known',
          phrase`Leads could go inside the tubes if their plugs pass the port.`,
          askFor('the diameter of the widest plug'),
        );
      say.because(partData('Widest plug', amount(plug, 'size')));
      if (port === undefined)
        return say.open(
          'Cable port not measured',
          phrase`The widest plug is ${amount(plug, 'size')} across; the port has not been measured.`,
        );
      if (port < plug)
        return say.rework(
          'Leads run outside the frame',
          phrase`The port is ${amount(port, 'size')} and the plug ${amount(plug, 'size')}: it does not pass.`,
          work(
            'outside',
            phrase`Lead the new cables outside on clips, in the shade of the down tube; never drill a frame for them.`,
            25,
            { takes: take('cable-clips', 'leads') },
          ),
        );
      return say.fits(
        'Leads pass the port',
        kit.hub?.place === 'rear'
          ? phrase`Port ${amount(port, 'size')}, widest plug ${amount(plug, 'size')}: the leads from the bar. The motor’s own goes outside, up the seat stay and down to the axle.`
          : phrase`Port ${amount(port, 'size')}, widest plug ${amount(plug, 'size')}.`,
      );
    }
    return say.fits(
      'Cables out of the way',
      run === 'underBracket'
        ? phrase`They run under the shell, which a hub leaves alone; the new leads go along the down tube on clips, clear of them.`
        : phrase`They run ${run === 'top' ? 'along the top tube' : 'along the down tube'}; the new leads follow them on clips.`,
    );
  },
);

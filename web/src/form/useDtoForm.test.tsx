import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { StockActDto, UpdateParticipationDto } from '@yugator/contracts';
import { ApiProblem, Unreachable } from '../api/problem.js';
import { Field } from './Field.js';
import { useDtoForm } from './useDtoForm.js';

const taken = new ApiProblem({
  type: 'about:blank',
  title: 't',
  status: 422,
  detail: 'd',
  errors: [{ pointer: '#/quantity', code: 'tooMuch', detail: 'The shelf does not hold that.' }],
});

function Form({ send, error }: { send: (values: StockActDto) => void; error: unknown }) {
  const form = useDtoForm(StockActDto, { kind: 'received', quantity: 1, note: '' });
  return (
    <form onSubmit={(event) => void form.handleSubmit(send)(event)}>
      <Field form={form} name="quantity" label="Came in" figure hint="In litres" />
      <Field form={form} name="note" label="Note" />
      <p>{form.problem}</p>
      <button>Book</button>
      <button type="button" onClick={() => form.refuse(error)}>
        Refuse
      </button>
    </form>
  );
}

const quantity = () => screen.getByLabelText<HTMLInputElement>('Came in');
const type = (text: string) => fireEvent.change(quantity(), { target: { value: text } });

describe('a form', () => {
  it('shows the fault at its field, keeps what was typed, and sends a number once it is right', async () => {
    const sent: StockActDto[] = [];
    render(<Form send={(values) => sent.push(values)} error={null} />);
    expect(screen.getByText('In litres')).toBeDefined();
    type('some');
    fireEvent.click(screen.getByText('Book'));
    await screen.findByText('Type how much, as a number.');
    expect(quantity().value).toBe('some');
    expect(quantity().getAttribute('aria-invalid')).toBe('true');
    type('2,5');
    fireEvent.click(screen.getByText('Book'));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ kind: 'received', quantity: 2.5 });
  });

  it('puts a refusal of the server at the field it names', async () => {
    render(<Form send={() => undefined} error={taken} />);
    fireEvent.click(screen.getByText('Refuse'));
    await screen.findByText('The shelf does not hold that.');
    expect(screen.queryByText('d')).toBeNull();
  });

  it('says what concerns no field above the form', async () => {
    render(<Form send={() => undefined} error={new Unreachable(null)} />);
    fireEvent.click(screen.getByText('Refuse'));
    await screen.findByText(/cannot be reached/);
  });

  it('says above itself what is wrong with something that has no field in it', async () => {
    function Part() {
      const form = useDtoForm(UpdateParticipationDto, {
        participation: [{ seasonId: 'summer', hoursPerWeek: 8 }],
        version: 1,
      });
      return (
        <form onSubmit={(event) => void form.handleSubmit(() => undefined)(event)}>
          <Field form={form} name="participation.0.hoursPerWeek" label="Hours" figure />
          <p>{form.problem}</p>
          <button>Save</button>
        </form>
      );
    }
    render(<Part />);
    fireEvent.change(screen.getByLabelText('Hours'), { target: { value: 'some' } });
    fireEvent.click(screen.getByText('Save'));
    // One fault stands at its field, the other where it can be seen.
    expect(await screen.findByText('Choose the season.')).toBeDefined();
    expect(screen.getByLabelText('Hours').getAttribute('aria-invalid')).toBe('true');
  });
});

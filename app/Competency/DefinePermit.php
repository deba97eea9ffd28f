<?php

declare(strict_types=1);

namespace App\Competency;

use App\Competency\Events\PermitDefined;
use App\People\Role;
use App\People\User;
use App\Support\ContentFault;
use App\Support\FaultyContent;
use App\Support\Given;
use App\Support\PowerLock;
use App\Support\YamlText;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Message;
use MillStep\Core\Competency\Requirement;
use MillStep\Core\Competency\Scope;

/**
 * What a permit asks for and covers: defined by a pack's file or in the editor, changed from then on. A changed statement
 * is a new version of it; for how long the one before still carries is said with it.
 *
 * @phpstan-type Definition array{code: string, name: string, requirement: array<string, mixed>, scope: array<string, mixed>,
 *     validity_days: int, machine_kinds?: list<string>, further?: bool, statement: string, grace_days?: int, later_days?: int,
 *     machines?: list<int>,
 *     signers?: list<int>, authorising?: array{ground: string, until?: CarbonImmutable|null, machines?: list<int>|null},
 *     supervisors?: list<int>, translations?: array<string, array{name?: string, statement?: string}>}
 */
final class DefinePermit
{
    public function __construct(private readonly Taught $taught, private readonly Authorise $authorise)
    {
    }

    /**
     * @param  array<string, YamlText>  $translations  by language
     *
     * @throws FaultyContent with every fault, its file and line
     */
    public function fromFile(YamlText $file, array $translations = []): Permit
    {
        $values = $file->values;
        $faults = [];
        foreach (['code', 'name', 'statement'] as $key) {
            if (! is_string($values[$key] ?? null) || trim($values[$key]) === '') {
                $faults[] = ContentFault::at($file->file, $file->lineOf($key), 'wanted_text', ['key' => $key]);
            }
        }
        if (! is_int($values['validity_days'] ?? null) || $values['validity_days'] < 1) {
            $faults[] = ContentFault::at($file->file, $file->lineOf('validity_days'), 'wanted_number', ['key' => 'validity_days']);
        }
        FaultyContent::unless($faults);
        /** @var Definition $definition */
        $definition = [
            ...array_intersect_key($values, array_flip(['code', 'name', 'requirement', 'scope', 'validity_days', 'machine_kinds'])),
            'further' => ($values['further'] ?? false) === true,
            'statement' => trim(Given::text($values['statement'])),
            'translations' => array_map(static fn (YamlText $said): array => array_map(
                static fn (mixed $words): string => trim(Given::text($words)),
                array_intersect_key($said->values, ['name' => 0, 'statement' => 0]),
            ), $translations),
        ];
        foreach ($this->faults($definition) as $key => $fault) {
            $faults[] = ContentFault::saying($file->file, $file->lineOf(explode('.', $key)[0]), $fault);
        }
        FaultyContent::unless($faults);
        $there = Permit::query()->where('code', $definition['code'])->first();

        return $there === null ? $this($definition) : $this->addLanguages($there, $definition);
    }

    /**
     * Everything that is wrong with a definition, by the key that is at fault.
     *
     * @param  Definition  $given
     * @return array<string, Message>
     */
    public function faults(array $given): array
    {
        $faults = [];
        try {
            Requirement::fromFields(Fields::of([...$given['requirement'], 'statement_version' => 1]));
        } catch (CoreException $fault) {
            $faults['requirement.'.($fault->field ?? '')] = $fault->says;
        }
        try {
            Scope::fromFields(Fields::of($given['scope']));
        } catch (CoreException $fault) {
            $faults['scope.'.($fault->field ?? '')] = $fault->says;
        }
        $codes = $this->taught->codes();
        $known = [
            ...$codes,
            'guided' => $codes['lessons'],
            'prerequisites' => array_values(array_diff(Given::texts(Permit::query()->pluck('code')->all()), [$given['code']])),
        ];
        foreach ($known as $key => $codes) {
            $wanted = $given['requirement'][$key] ?? [];
            $unknown = is_array($wanted) ? array_values(array_diff(Given::texts($wanted), $codes)) : [];
            if ($unknown !== []) {
                $faults["requirement.$key"] = Message::of("fault.permit.$key", ['codes' => $unknown]);
            }
        }
        $new = array_diff($given['signers'] ?? [], Permit::query()->where('code', $given['code'])->first()?->signers->modelKeys() ?? []);
        if ($new !== [] && mb_strlen(trim($given['authorising']['ground'] ?? '')) < 3) {
            $faults['authorising.ground'] = Message::of('fault.permit.ground');
        }
        if ($this->leadsBack($given['code'], (array) ($given['requirement']['prerequisites'] ?? []))) {
            $faults['requirement.prerequisites'] = Message::of('fault.permit.circle');
        }

        return $faults;
    }

    /** @return array<string, list<array{code: string, title: string}>> what a permit may ask for, each by its latest version */
    public function choices(): array
    {
        return [
            ...$this->taught->titles(),
            'permits' => array_values(Permit::query()->orderBy('id')->get()
                ->map(static fn (Permit $permit): array => ['code' => $permit->code, 'title' => $permit->name])->all()),
        ];
    }

    /**
     * @param  Definition  $given  without faults
     * @param  User|null  $by  who names those that may sign; a pack names nobody
     */
    public function __invoke(array $given, ?User $by = null): Permit
    {
        // Looked up before: every gate waits for what is done behind the lock. Only whoever teaches can be given a pen, or a turn to watch.
        $machines = isset($given['machines']) ? Machine::query()->whereIn('id', $given['machines'])->pluck('id') : null;
        $teachers = User::query()->whereIn('id', [...$given['signers'] ?? [], ...$given['supervisors'] ?? []])
            ->whereIn('role', [Role::Lead, Role::Instructor])->pluck('id');
        $permit = DB::transaction(function () use ($given, $machines, $teachers): Permit {
            // What it asks for decides who runs: whoever is deciding that is waited for.
            PowerLock::forRestriction();
            $translations = $given['translations'] ?? null;
            $permit = Permit::query()->firstOrNew(['code' => $given['code']]);
            $permit->fill([
                'name' => $given['name'], 'requirement' => $permit->asking($given['requirement'], $given['later_days'] ?? null),
                'scope' => (object) $given['scope'],
                'validity_days' => $given['validity_days'],
                ...(isset($given['further']) ? ['further' => $given['further']] : []),
                ...(isset($given['machine_kinds']) ? ['machine_kinds' => $given['machine_kinds']] : []),
                ...($translations === null ? [] : [
                    'translations' => array_map(static fn (array $said): array => array_intersect_key($said, ['name' => 0]), $translations),
                ]),
            ])->save();
            $this->statement($permit, $given);
            $machines === null || $permit->machines()->sync($machines);
            isset($given['supervisors']) && $permit->supervisors()->sync($teachers->intersect($given['supervisors']));
            PermitDefined::dispatch($permit->id);

            return $permit;
        });

        if ($by !== null && isset($given['signers'])) {
            $this->nameSigners($permit, array_values($teachers->intersect($given['signers'])->all()), $given['authorising'] ?? null, $by);
        }

        return $permit->load(['statements', 'machines', 'signers', 'supervisors', 'authorisations.giver']);
    }

    /**
     * Each by itself, so that no gate waits for all of them: first who signs no longer.
     *
     * @param  list<mixed>  $named
     * @param  array{ground: string, until?: CarbonImmutable|null, machines?: list<int>|null}|null  $authorising
     */
    private function nameSigners(Permit $permit, array $named, ?array $authorising, User $by): void
    {
        $stand = $permit->signers()->get();
        foreach ($stand->except($named) as $person) {
            $this->authorise->end($permit, $person, $by);
        }
        if ($authorising !== null) {
            foreach (User::query()->whereKey($named)->whereKeyNot($stand->modelKeys())->get() as $person) {
                $this->authorise->give($permit, $person, $by, $authorising);
            }
        }
    }

    /**
     * A permit that is there is the shop's own, and a newer pack changes nothing of it. Words in a further language come
     * where the words that they translate still stand.
     *
     * @param  Definition  $given
     */
    private function addLanguages(Permit $permit, array $given): Permit
    {
        $statement = $permit->statements()->latest('version')->first();
        $words = [
            [$permit, 'name', 'name', $given['name']],
            ...$statement === null ? [] : [[$statement, 'body', 'statement', $given['statement']]],
        ];
        foreach ($words as [$model, $attribute, $key, $written]) {
            $stands = $model->getRawOriginal($attribute) === $written;
            $offered = array_filter(array_map(
                static fn (array $said): array => isset($said[$key]) ? [$attribute => $said[$key]] : [],
                $given['translations'] ?? [],
            ), static fn (array $said): bool => $said !== []);
            $model->translations = [...($stands ? $offered : []), ...$model->translations];
            $model->save();
        }

        return $permit;
    }

    /** @param  Definition  $given */
    private function statement(Permit $permit, array $given): void
    {
        $last = $permit->statements()->latest('version')->first();
        $said = array_map(
            static fn (array $words): array => isset($words['statement']) ? ['body' => $words['statement']] : [],
            $given['translations'] ?? [],
        );
        if ($last?->getRawOriginal('body') === $given['statement']) {
            return;
        }
        $now = CarbonImmutable::now();
        $grace = $given['grace_days'] ?? 0;
        $permit->statements()->create([
            'version' => ($last->version ?? 0) + 1,
            'body' => $given['statement'],
            'in_force_from' => $now,
            'grace_until' => $last === null || $grace === 0 ? null : $now->addDays($grace),
            'translations' => array_filter($said),
        ]);
    }

    /** @param  array<array-key, mixed>  $prerequisites */
    private function leadsBack(string $code, array $prerequisites): bool
    {
        $below = Permit::query()->get()->mapWithKeys(
            static fn (Permit $permit): array => [$permit->code => $permit->requirement['prerequisites'] ?? []],
        )->all();
        $seen = [];
        $open = array_filter($prerequisites, is_string(...));
        while ($open !== []) {
            $next = array_pop($open);
            if ($next === $code) {
                return true;
            }
            if (! isset($seen[$next])) {
                $seen[$next] = true;
                array_push($open, ...$below[$next] ?? []);
            }
        }

        return false;
    }
}

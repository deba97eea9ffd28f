<?php

declare(strict_types=1);

namespace App\Assessment\Who;

use App\Assessment\Sheet;
use App\Assessment\SheetAttempt;
use App\Competency\Authorisation;
use App\Competency\Permit;
use App\Competency\Standings;
use App\People\User;
use App\Support\Refusal;
use App\Workshop\Machine;
use Illuminate\Database\Eloquent\Collection;
use MillStep\Core\Competency\MayAssess;
use MillStep\Core\Competency\Stage;

/** Gathers what the core must know to say who may assess whom on a sheet. */
final class WhoAssesses
{
    public function __construct(private readonly Standings $standings)
    {
    }

    /** Whether somebody may assess a sheet at all, wherever: authorised for a permit that asks for it, or for any where none does. */
    public function isAuthorised(User $user, string $sheet): bool
    {
        $asking = self::asking($sheet);

        return $user->teaches() && ($asking->isEmpty() ? Permit::anySignedBy($user) : Authorisation::of($user, $asking) !== []);
    }

    /**
     * @return AssessmentException|null the exception that it takes; it is used up with the try
     *
     * @throws Refusal `own_record`, `not_authorised`, `not_piloted`
     */
    public function mustBeAllowed(User $learner, Sheet $sheet, User $assessor, ?Machine $machine = null): ?AssessmentException
    {
        $asking = self::asking($sheet->code);
        $stage = $asking->isEmpty() ? (Permit::anySignedBy($assessor) ? Stage::Piloted : null)
            : $this->stage($learner, $this->authorised($assessor, $asking, $machine));
        $exception = $stage === null || $stage->value >= Stage::Piloted->value ? null
            : AssessmentException::unused($learner, $sheet->code, $assessor);
        $reason = MayAssess::reasons($learner->is($assessor), $stage, $exception !== null)[0] ?? null;
        if ($reason === 'not_piloted') {
            throw Refusal::because($reason, ['name' => $learner->name]);
        }
        if ($reason !== null) {
            throw Refusal::forbidden($reason, says: $reason === 'own_record' ? 'own_assessment' : 'may_not_assess');
        }

        return $exception;
    }

    /**
     * Whoever marks, concludes, watches or answers is authorised as whoever opened it was.
     *
     * @throws Refusal `not_authorised`
     */
    public function mustBeAuthorised(User $user, SheetAttempt $attempt): void
    {
        $asking = self::asking($attempt->sheet->code);
        $may = $user->teaches() && ($asking->isEmpty()
            ? Permit::anySignedBy($user)
            : $this->authorised($user, $asking, $attempt->machine)->isNotEmpty());
        $may || throw Refusal::forbidden('not_authorised', says: 'may_not_assess');
    }

    /** On what ground somebody may assess a sheet: as it is shown beside the outcome. */
    public function ground(User $assessor, string $sheet): ?Authorisation
    {
        return array_values(Authorisation::of($assessor, self::asking($sheet)))[0] ?? null;
    }

    /** @return Collection<int, Permit> that ask for a sheet */
    private static function asking(string $sheet): Collection
    {
        $asking = Permit::query()->with('statements');
        $asking->whereJsonContains('requirement->assessments', $sheet)->orderBy('id');

        return $asking->get();
    }

    /**
     * @param  Collection<int, Permit>  $permits
     * @return Collection<int, Permit>
     */
    private function authorised(User $user, Collection $permits, ?Machine $machine = null): Collection
    {
        $of = $user->teaches() ? Authorisation::of($user, $permits) : [];

        return $permits->filter(static fn (Permit $permit): bool => ($of[$permit->id] ?? null)?->isAt($machine) === true);
    }

    /** @param  Collection<int, Permit>  $permits */
    private function stage(User $learner, Collection $permits): ?Stage
    {
        $stages = $permits->isEmpty() ? [] : array_map(
            static fn ($standing): int => $standing->place->stage->value,
            $this->standings->of(new Collection([$learner]), $permits)[$learner->id] ?? [],
        );

        return $stages === [] ? null : Stage::from(max($stages));
    }
}

<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Operation;

/**
 * May this person run this machine now: alone, supervised or no, with all reasons, the first decisive.
 * Whatever is not known counts against; there is no path that grants by default.
 */
final readonly class AccessDecision implements Operation
{
    /**
     * @param  list<HeldPermit>  $permits every permit that is needed here
     * @param  list<HeldPermit>  $further those that widen what may be done here: none of them is needed for what the others are for
     * @param  bool  $recordSound  the lines that this person's record was read from verify
     */
    public function __construct(
        public bool $badgeKnown,
        public bool $personActive,
        public bool $machineInService,
        public bool $hoursOpen,
        public array $permits,
        public AccessRequest $request,
        public bool $supervisorPresent,
        public bool $companionPresent,
        public Stage $supervisedFrom,
        public bool $companionRequired,
        public int $turnsElsewhere,
        public int $machinesAtOnce,
        public array $further,
        public bool $recordSound,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        $fields->instant('now');
        $badgeKnown = $fields->flag('badge_known');
        $presence = $fields->objectOrEmpty('presence');
        $policy = $fields->objectOrEmpty('policy');

        return new self(
            $badgeKnown,
            $badgeKnown && $fields->flag('person_active'),
            $fields->object('machine')->flag('in_service'),
            $fields->flag('hours_open'),
            // An unknown badge belongs to nobody, so it has no permits to ask about.
            $badgeKnown ? array_map(HeldPermit::fromFields(...), $fields->objects('permits', 1)) : [],
            AccessRequest::fromFields($fields->objectOrEmpty('request')),
            $presence->isTrue('supervisor', absent: false),
            $presence->isTrue('companion', absent: false),
            Stage::from($policy->integer('supervised_from_stage', 1, 5, 2)),
            $policy->flag('companion_required', false),
            $fields->integer('turns_elsewhere', 0, default: 0),
            $policy->integer('machines_at_once', 1, 100, 1),
            $badgeKnown && $fields->has('further') ? array_map(HeldPermit::fromFields(...), $fields->objects('further')) : [],
            $fields->isTrue('record_sound', absent: true),
        );
    }

    public function compute(): Access
    {
        $refusals = $this->refusals();
        if ($refusals !== []) {
            return new Access(Decision::No, $refusals);
        }
        $best = null;
        foreach ($this->furtherForThis() as $permit) {
            $found = $this->decidedWith($permit);
            $best = $best === null || $found->isMoreThan($best) ? $found : $best;
        }

        return $best ?? $this->decided($this->permits);
    }

    /** @return list<string> what speaks against any work here, all of it */
    private function refusals(): array
    {
        return array_keys(array_filter([
            'machine_out_of_service' => ! $this->machineInService,
            'person_inactive' => $this->badgeKnown && ! $this->personActive,
            'badge_unknown' => ! $this->badgeKnown,
            'held' => self::any($this->permits, static fn (HeldPermit $permit): bool => $permit->held),
            'record_not_sound' => $this->badgeKnown && ! $this->recordSound,
            'outside_hours' => ! $this->hoursOpen,
            'at_another_machine' => $this->turnsElsewhere >= $this->machinesAtOnce,
        ]));
    }

    /** @return list<HeldPermit> the further permits that this work is asked for by: none while the needed ones cover it */
    private function furtherForThis(): array
    {
        return $this->outside($this->permits) === [] ? [] : array_values(array_filter(
            $this->further,
            fn (HeldPermit $permit): bool => $permit->isForWork($this->request),
        ));
    }

    /** With a further permit beside the needed ones, whose limits it replaces where it names one of its own. */
    private function decidedWith(HeldPermit $further): Access
    {
        if ($further->held) {
            return new Access(Decision::No, ['held']);
        }
        $needed = array_map(static fn (HeldPermit $permit): HeldPermit => $permit->widenedBy($further), $this->permits);
        $access = $this->decided([...$needed, $further]);

        // What the needed permits do not cover stands first: that is why a further one was looked at.
        return $access->decision === Decision::Alone ? $access : new Access(
            $access->decision,
            array_values(array_unique([...$this->outside($this->permits), ...$access->reasons])),
            $access->asks,
        );
    }

    /** @param  list<HeldPermit>  $permits */
    private function decided(array $permits): Access
    {
        $notAlone = $this->notAlone($permits);
        if ($notAlone === []) {
            return new Access(Decision::Alone, [], $this->unsaid($permits));
        }
        if (self::any($permits, fn (HeldPermit $permit): bool => $permit->stage->value < $this->supervisedFrom->value)) {
            return new Access(Decision::No, ['safety_check_not_passed']);
        }

        return $this->supervisorPresent
            ? new Access(Decision::Supervised, $notAlone)
            // A companion may still come to the reader; everything else that speaks against it cannot be said away.
            : new Access(
                Decision::No,
                [...$notAlone, 'supervisor_absent'],
                $notAlone === ['companion_absent'] ? ['companion', ...$this->unsaid($permits)] : [],
            );
    }

    /**
     * @param  list<HeldPermit>  $permits
     * @return list<string> every reason why not alone, in the order of the rules
     */
    private function notAlone(array $permits): array
    {
        $lapsed = static fn (Lapse $cause): bool => self::any(
            $permits,
            static fn (HeldPermit $permit): bool => $permit->lapsed === $cause,
        );

        return [
            ...array_keys(array_filter([
                'not_signed_off' => self::any(
                    $permits,
                    static fn (HeldPermit $permit): bool => $permit->stage !== Stage::Tapped && $permit->lapsed === null,
                ),
                'lapsed_expired' => $lapsed(Lapse::Expired),
                'lapsed_recency' => $lapsed(Lapse::Recency),
                'lapsed_statement' => $lapsed(Lapse::Statement),
                'lapsed_prerequisite' => $lapsed(Lapse::Prerequisite),
                'lapsed_requirement' => $lapsed(Lapse::Requirement),
                'not_familiar' => self::any($permits, static fn (HeldPermit $permit): bool => ! $permit->familiar),
            ])),
            ...$this->outside($permits),
            ...array_keys(array_filter([
                'companion_absent' => ! $this->companionPresent && ($this->companionRequired
                    || self::any($permits, static fn (HeldPermit $permit): bool => $permit->wantsCompanion())),
            ])),
        ];
    }

    /**
     * @param  list<HeldPermit>  $permits
     * @return list<string> where the work lies outside of what they cover
     */
    private function outside(array $permits): array
    {
        $request = $this->request;

        return array_keys(array_filter([
            'outside_scope_material' => self::anyLimit(
                $permits,
                static fn (Scope $scope): bool => ! $scope->coversMaterial($request->material),
            ),
            'outside_scope_diameter' => self::anyLimit(
                $permits,
                static fn (Scope $scope): bool => ! $scope->coversDiameter($request->diameter),
            ),
            'outside_scope_thickness' => self::anyLimit(
                $permits,
                static fn (Scope $scope): bool => ! $scope->coversThickness($request->thickness),
            ),
            'outside_scope_operation' => self::anyLimit(
                $permits,
                static fn (Scope $scope): bool => ! $scope->coversOperation($request->operation),
            ),
        ]));
    }

    /**
     * @param  list<HeldPermit>  $permits
     * @return list<string> what they limit and nobody has said
     */
    private function unsaid(array $permits): array
    {
        return array_keys(array_filter([
            'material' => $this->request->material === null
                && self::anyLimit($permits, static fn (Scope $scope): bool => $scope->limitsMaterial()),
            'thickness' => $this->request->thickness === null
                && self::anyLimit($permits, static fn (Scope $scope): bool => $scope->limitsThickness()),
            'operation' => $this->request->operation === null
                && self::anyLimit($permits, static fn (Scope $scope): bool => $scope->limitsOperation()),
            'diameter' => $this->request->diameter === null
                && self::anyLimit($permits, static fn (Scope $scope): bool => $scope->limitsDiameter()),
        ]));
    }

    /**
     * @param  list<HeldPermit>  $permits
     * @param  \Closure(Scope): bool  $test
     */
    private static function anyLimit(array $permits, \Closure $test): bool
    {
        return self::any($permits, static fn (HeldPermit $permit): bool => array_filter($permit->limits(), $test) !== []);
    }

    /**
     * @param  list<HeldPermit>  $permits
     * @param  \Closure(HeldPermit): bool  $test
     */
    private static function any(array $permits, \Closure $test): bool
    {
        return array_filter($permits, $test) !== [];
    }
}

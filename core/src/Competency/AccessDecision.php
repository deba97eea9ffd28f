<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
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
        public array $further = [],
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
            $presence->flag('supervisor', false),
            $presence->flag('companion', false),
            Stage::from($policy->integer('supervised_from_stage', 0, 5, 2)),
            $policy->flag('companion_required', false),
            $fields->integer('turns_elsewhere', 0, default: 0),
            $policy->integer('machines_at_once', 1, 100, 1),
            $badgeKnown && $fields->has('further') ? array_map(HeldPermit::fromFields(...), $fields->objects('further')) : [],
        );
    }

    public function compute(): Access
    {
        $access = null;
        // What speaks against all work here needs no further permit to say it.
        foreach ($this->refusals() === [] ? $this->asked() : [] as $permit) {
            // Whoever may not even run the machine is not helped by a further permit: both are needed for its work.
            $with = $this->with([
                ...array_map(static fn (HeldPermit $needed): HeldPermit => $needed->unlimited(), $this->permits),
                $permit,
            ]);
            $found = $with->refusals() === [] ? $this->because($with->decided()) : $with->decided();
            $access = $access === null || $found->isMoreThan($access) ? $found : $access;
        }

        return $access ?? $this->decided();
    }

    /** What the needed permits do not cover stands first: that is why a further one was looked at. */
    private function because(Access $access): Access
    {
        return $access->decision === Decision::Alone ? $access
            : new Access($access->decision, array_values(array_unique([...$this->outside(), ...$access->reasons])), $access->asks);
    }

    /** @return list<string> what speaks against any work here, all of it */
    private function refusals(): array
    {
        return array_keys(array_filter([
            'machine_out_of_service' => ! $this->machineInService,
            'person_inactive' => $this->badgeKnown && ! $this->personActive,
            'badge_unknown' => ! $this->badgeKnown,
            'held' => $this->any(static fn (HeldPermit $permit): bool => $permit->held),
            'outside_hours' => ! $this->hoursOpen,
            'at_another_machine' => $this->turnsElsewhere >= $this->machinesAtOnce,
        ]));
    }

    /** @return list<string> where the work lies outside of the needed permits */
    private function outside(): array
    {
        $request = $this->request;
        $outside = fn (\Closure $covers): bool => $this->any(
            static fn (HeldPermit $permit): bool => ! $covers($permit->scope) || ($permit->about !== null && ! $covers($permit->about)),
        );

        return array_keys(array_filter([
            'outside_scope_material' => $outside(static fn (Scope $scope): bool => $scope->coversMaterial($request->material)),
            'outside_scope_diameter' => $outside(static fn (Scope $scope): bool => $scope->coversDiameter($request->diameter)),
            'outside_scope_thickness' => $outside(static fn (Scope $scope): bool => $scope->coversThickness($request->thickness)),
            'outside_scope_operation' => $outside(static fn (Scope $scope): bool => $scope->coversOperation($request->operation)),
        ]));
    }

    /** @return list<HeldPermit> the further permits that this work is asked for by: none while it is what the needed ones are for */
    private function asked(): array
    {
        $within = ! $this->any(fn (HeldPermit $permit): bool => ! $permit->isFor($this->request));

        return $within ? [] : array_values(array_filter(
            $this->further,
            fn (HeldPermit $permit): bool => ($permit->about ?? $permit->scope)->covers($this->request),
        ));
    }

    /** @param  list<HeldPermit>  $permits */
    private function with(array $permits): self
    {
        return new self($this->badgeKnown, $this->personActive, $this->machineInService, $this->hoursOpen, $permits, $this->request,
            $this->supervisorPresent, $this->companionPresent, $this->supervisedFrom, $this->companionRequired, $this->turnsElsewhere,
            $this->machinesAtOnce);
    }

    private function decided(): Access
    {
        $refusals = $this->refusals();
        if ($refusals !== []) {
            return new Access(Decision::No, $refusals);
        }
        $notAlone = $this->notAlone();
        if ($notAlone === []) {
            return new Access(Decision::Alone, [], $this->unsaid());
        }
        if ($this->any(fn (HeldPermit $permit): bool => $permit->stage->value < $this->supervisedFrom->value)) {
            return new Access(Decision::No, ['safety_check_not_passed']);
        }

        return $this->supervisorPresent
            ? new Access(Decision::Supervised, $notAlone)
            // A companion may still come to the reader; everything else that speaks against it cannot be said away.
            : new Access(
                Decision::No,
                [...$notAlone, 'supervisor_absent'],
                $notAlone === ['companion_absent'] ? ['companion', ...$this->unsaid()] : [],
            );
    }

    /** @return list<string> every reason why not alone, in the order of the rules */
    private function notAlone(): array
    {
        $request = $this->request;

        return array_keys(array_filter([
            'not_signed_off' => $this->any(
                static fn (HeldPermit $permit): bool => $permit->stage !== Stage::Tapped && $permit->lapsed === null,
            ),
            'lapsed_expired' => $this->lapsed(Lapse::Expired),
            'lapsed_recency' => $this->lapsed(Lapse::Recency),
            'lapsed_statement' => $this->lapsed(Lapse::Statement),
            'lapsed_prerequisite' => $this->lapsed(Lapse::Prerequisite),
            'outside_scope_material' => $this->any(
                static fn (HeldPermit $permit): bool => ! $permit->scope->coversMaterial($request->material),
            ),
            'outside_scope_diameter' => $this->any(
                static fn (HeldPermit $permit): bool => ! $permit->scope->coversDiameter($request->diameter),
            ),
            'outside_scope_thickness' => $this->any(
                static fn (HeldPermit $permit): bool => ! $permit->scope->coversThickness($request->thickness),
            ),
            'outside_scope_operation' => $this->any(
                static fn (HeldPermit $permit): bool => ! $permit->scope->coversOperation($request->operation),
            ),
            'companion_absent' => ! $this->companionPresent
                && ($this->companionRequired || $this->any(static fn (HeldPermit $permit): bool => $permit->scope->companion)),
        ]));
    }

    /** @return list<string> what a scope limits and nobody has said */
    private function unsaid(): array
    {
        $limits = fn (\Closure $limit): bool => $this->any(static fn (HeldPermit $permit): bool => $limit($permit->scope) !== null);

        return array_keys(array_filter([
            'material' => $this->request->material === null && $limits(static fn (Scope $scope): ?array => $scope->materials),
            'thickness' => $this->request->thickness === null && $limits(static fn (Scope $scope): ?Length => $scope->minThickness),
            'operation' => $this->request->operation === null && $limits(static fn (Scope $scope): ?array => $scope->operations),
            'diameter' => $this->request->diameter === null && $limits(static fn (Scope $scope): ?Length => $scope->maxDiameter),
        ]));
    }

    private function lapsed(Lapse $cause): bool
    {
        return $this->any(static fn (HeldPermit $permit): bool => $permit->lapsed === $cause);
    }

    /** @param  \Closure(HeldPermit): bool  $test */
    private function any(\Closure $test): bool
    {
        foreach ($this->permits as $permit) {
            if ($test($permit)) {
                return true;
            }
        }

        return false;
    }
}

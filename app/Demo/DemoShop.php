<?php

declare(strict_types=1);

namespace App\Demo;

use App\Competency\Authorise;
use App\Competency\DefinePermit;
use App\Competency\Permit;
use App\Content\Pack;
use App\Content\TakeIn;
use App\Gate\Badge;
use App\Gate\DemoBadges;
use App\People\BadgeDesk;
use App\People\Cohort;
use App\People\Role;
use App\People\User;
use App\Planning\PlanKind;
use App\Planning\SavePlan;
use App\Policy\Policy;
use App\Policy\Shop;
use App\Support\Given;
use App\Support\QuietConnection;
use App\Workshop\AddDrillSet;
use App\Workshop\Bar;
use App\Workshop\Crib;
use App\Workshop\Gauges\CheckGauge;
use App\Workshop\Gauges\SaveGauge;
use App\Workshop\Machine;
use App\Workshop\MaterialRow;
use App\Workshop\Part;
use App\Workshop\SaveMachine;
use App\Workshop\SaveTool;
use App\Workshop\ServiceChange;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Str;
use MillStep\Core\Workshop\DrillSeries;
use Symfony\Component\Yaml\Yaml;

/**
 * Lays out the demo shop from the files of database/demo, its history relative to today.
 *
 * @phpstan-import-type Story from DemoHistory
 *
 * @phpstan-type DemoCrib array{slug: string, name: string, note?: string, sets?: list<array{series: string, edge?: 'normal'|'zero_rake'}>,
 *     tools?: list<array<string, mixed>&array{sizes: list<string>, types?: list<string|null>}>}
 * @phpstan-type DemoGauge array{name: string, kind: string, resolution_mm: float, uncertainty_mm: float, tip_mm?: float,
 *     zero_error_mm: float,
 *     checked_days_ago: int, due_in_days: int, against: string}
 * @phpstan-type DemoMachine array<string, mixed>&array{slug: string, cribs: list<string>, in_service?: bool, service_note?: string}
 * @phpstan-type DemoShopFile array{name: string, policy: array<string, mixed>, cribs: list<DemoCrib>, machines: list<DemoMachine>,
 *     bars: list<array<string, mixed>>, materials: list<array<string, mixed>&array{key: string}>, gauges: list<DemoGauge>}
 * @phpstan-type DemoPlan array{name: string, kind: string, part: string, request: array<string, mixed>}
 * @phpstan-type DemoStaff array{name: string, email: string, role: string, signs?: bool, all_cohorts?: bool, teaches?: list<string>}
 * @phpstan-type DemoPeople array{staff: list<DemoStaff>, cohorts: list<array{name: string, started_days_ago: int, learners: list<Story>}>}
 */
final class DemoShop
{
    public const PASSWORD = 'mast-and-vane';

    /** So long ago the shop named those who may sign. */
    private const OPENED_DAYS_AGO = 400;

    public const PIN = '2468';

    private const FOLDER = 'database/demo';

    public function __construct(
        private readonly DemoHistory $history,
        private readonly AddDrillSet $addDrillSet,
        private readonly SaveTool $saveTool,
        private readonly SaveMachine $saveMachine,
        private readonly SavePlan $savePlan,
        private readonly TakeIn $takeIn,
        private readonly SaveGauge $saveGauge,
        private readonly CheckGauge $checkGauge,
        private readonly DefinePermit $definePermit,
        private readonly BadgeDesk $badges,
        private readonly Authorise $authorise,
    ) {
    }

    public function load(): void
    {
        $this->asOne(function (): void {
            $this->shop();
            $this->people();
        });
    }

    /** The shop without anybody in it: machines, cribs, and the packs that ship. */
    public function shop(): void
    {
        /** @var DemoShopFile $shop */
        $shop = $this->yaml('shop.yaml');
        Shop::named($shop['name'], 'en');
        Policy::query()->create(['settings' => $shop['policy'], 'in_force_from' => CarbonImmutable::now()->subYear()]);
        $this->cribs($shop['cribs']);
        $this->machines($shop['machines']);
        foreach ($shop['bars'] as $bar) {
            Bar::query()->create($bar);
        }
        foreach ($shop['materials'] as $row) {
            MaterialRow::query()->create(['key' => $row['key'], 'row' => $row]);
        }
        $this->content();
    }

    /** The packs that ship. The demo's machines are what its permits are for, and their statements have been in force for a year. */
    public function content(): void
    {
        foreach (Pack::shipped() as $pack) {
            ($this->takeIn)($pack, null);
        }
        foreach (Permit::query()->get() as $permit) {
            $permit->machines()->sync(Machine::query()->whereIn('kind', $permit->machine_kinds)->pluck('id'));
            $permit->statements()->update(['in_force_from' => CarbonImmutable::now()->subYear()]);
        }
    }

    /** Everybody, with what they did up to today. */
    public function people(): void
    {
        /** @var DemoPeople $people */
        $people = $this->yaml('people.yaml');
        $this->asOne(fn () => $this->everybody($people));
    }

    /** @param  \Closure(): void  $much */
    private function asOne(\Closure $much): void
    {
        $connection = User::query()->getConnection();
        $connection instanceof QuietConnection ? $connection->asOne($much) : $connection->transaction($much);
    }

    private function yaml(string $file): mixed
    {
        return Yaml::parseFile(base_path(self::FOLDER.'/'.$file));
    }

    /** @param  list<DemoCrib>  $cribs */
    private function cribs(array $cribs): void
    {
        foreach ($cribs as $given) {
            $crib = Crib::query()->create(['slug' => $given['slug'], 'name' => $given['name'], 'note' => $given['note'] ?? null]);
            foreach ($given['sets'] ?? [] as $set) {
                ($this->addDrillSet)($crib, DrillSeries::from($set['series']), $set['edge'] ?? 'normal');
            }
            foreach ($given['tools'] ?? [] as $tools) {
                foreach ($tools['sizes'] as $size) {
                    foreach ($tools['types'] ?? [null] as $type) {
                        /** @var array{kind: string, size: string} $tool */
                        $tool = [...array_diff_key($tools, ['sizes' => 0, 'types' => 0]), 'size' => $size, 'type' => $type];
                        ($this->saveTool)($crib, $tool, 'mm');
                    }
                }
            }
        }
    }

    /** @param  list<DemoMachine>  $machines */
    private function machines(array $machines): void
    {
        foreach ($machines as $given) {
            $machine = ($this->saveMachine)(null, $given, $given['cribs'], $given['slug']);
            if (($given['in_service'] ?? true) === false) {
                ServiceChange::query()->create([
                    'id' => (string) Str::uuid7(),
                    'machine_id' => $machine->id,
                    'in_service' => false,
                    'reason' => $given['service_note'] ?? '',
                    'at' => CarbonImmutable::now()->subDays(5)->setTime(10, 20),
                ]);
                $machine->update(['in_service' => false, 'service_note' => $given['service_note'] ?? '']);
            }
        }
    }

    /** The parts, planned by the shop lead. */
    public function plans(User $lead): void
    {
        /** @var list<DemoPlan> $plans */
        $plans = $this->yaml('plans.yaml');
        foreach ($plans as $given) {
            $plan = [
                ...$given,
                'kind' => PlanKind::from($given['kind']),
                'part_id' => Part::query()->where('slug', $given['part'])->firstOrFail()->id,
            ];
            ($this->savePlan)((string) Str::uuid7(), $plan, $lead, 'mm');
        }
    }

    /** What the shop measures with, as it was checked: one is past its date. */
    private function gauges(User $lead): void
    {
        /** @var DemoShopFile $shop */
        $shop = $this->yaml('shop.yaml');
        $today = CarbonImmutable::now();
        foreach ($shop['gauges'] as $given) {
            $gauge = ($this->saveGauge)(null, array_intersect_key(
                $given,
                array_flip(['name', 'kind', 'resolution_mm', 'uncertainty_mm', 'tip_mm']),
            ));
            ($this->checkGauge)($gauge, $lead, [
                'id' => (string) Str::uuid7(), 'checked_on' => $today->subDays($given['checked_days_ago'])->toDateString(),
                'against' => $given['against'], 'zero_error_mm' => (float) $given['zero_error_mm'],
                'due_on' => $today->addDays($given['due_in_days'])->toDateString(),
            ]);
        }
    }

    /** @param  DemoPeople  $people */
    private function everybody(array $people): void
    {
        $instructors = $signers = [];
        foreach ($people['staff'] as $given) {
            $user = $this->person($given['name'], $given['email'], Role::from($given['role']));
            $user->update(['pin_hash' => self::PIN, 'all_cohorts' => $given['all_cohorts'] ?? false]);
            if ($given['signs'] ?? false) {
                $signers[] = [$user, $given['ground'] ?? 'Trained and assessed here'];
                $instructors[] = $user;
            }
        }
        $lead = User::query()->where('role', Role::Lead)->firstOrFail();
        // Before anybody was taught here.
        Date::setTestNow(CarbonImmutable::now()->subDays(self::OPENED_DAYS_AGO)->setTime(8, 0));
        foreach ($signers as [$user, $ground]) {
            foreach (Permit::query()->orderBy('id')->get() as $permit) {
                $this->authorise->give($permit, $user, $lead, ['ground' => $ground]);
            }
        }
        Date::setTestNow();
        $this->plans($lead);
        $this->gauges($lead);
        foreach ($people['cohorts'] as $given) {
            $startedOn = CarbonImmutable::now()->subDays($given['started_days_ago'])->startOfDay();
            $cohort = Cohort::query()->create(['name' => $given['name'], 'starts_on' => $startedOn]);
            foreach ($people['staff'] as $staff) {
                if (in_array($given['name'], $staff['teaches'] ?? [], true)) {
                    User::query()->where('email', $staff['email'])->firstOrFail()->cohorts()->attach($cohort);
                }
            }
            foreach ($given['learners'] as $learner) {
                $email = $learner['email'] ?? Str::slug(Str::before($learner['name'], ' ')).'@millstep.example';
                $user = $this->person($learner['name'], $email, Role::Learner, $cohort);
                $this->history->plan($user, $instructors, $startedOn, $learner);
            }
        }
        $this->history->happen();
        $this->lately($lead);
    }

    /** What the lead did this week: a permit became narrower than what was signed for it, and a badge was reported lost. */
    private function lately(User $lead): void
    {
        foreach (Permit::query()->with('statements')->where('code', 'hand-drill')->get() as $permit) {
            ($this->definePermit)([
                'code' => $permit->code, 'name' => $permit->name, 'requirement' => $permit->requirement,
                'scope' => [...$permit->scope, 'materials' => ['mild_steel'], 'max_diameter_mm' => 6.5],
                'validity_days' => $permit->validity_days, 'statement' => Given::text($permit->statementInForce()->getRawOriginal('body')),
            ]);
        }
        $this->badges->end(User::query()->where('name', 'like', 'Ulrik %')->firstOrFail(), 'lost', $lead);
    }

    private function person(string $name, string $email, Role $role, ?Cohort $cohort = null): User
    {
        /** @var string|null $password hashed once: two dozen slow hashes would only keep the demo waiting */
        static $password = null;
        $password ??= bcrypt(self::PASSWORD);
        $user = User::query()->create([
            'name' => $name, 'email' => $email, 'password' => $password, 'role' => $role,
            'units' => 'mm', 'active' => true, 'joined_at' => CarbonImmutable::now(),
        ]);
        $cohort === null || $user->cohorts()->attach($cohort->id);
        if ($role !== Role::Auditor) {
            Badge::query()->create(['user_id' => $user->id, 'code_hash' => Badge::hash(DemoBadges::code($user))]);
        }

        return $user->refresh();
    }
}

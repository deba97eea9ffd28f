<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('workshop_cribs', function (Blueprint $table): void {
            $table->id();
            $table->string('slug')->unique();
            $table->string('name');
            $table->string('note')->nullable();
            $table->timestampsTz();
        });

        Schema::create('workshop_tools', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('crib_id')->constrained('workshop_cribs')->cascadeOnDelete();
            $table->string('kind')->comment('drill, step_drill, tap, reamer, centre_drill, parallel, gauge');
            $table->string('designation');
            $table->decimal('diameter_mm', 12, 6)->nullable();
            $table->string('edge')->default('normal')->comment('normal or zero_rake');
            $table->string('condition')->default('good')->comment('good, dull, worn_out or lost');
            $table->jsonb('details')
                ->default('{}')
                ->comment('what only this kind has: type and thread of a tap, method of a reamer, taper, flutes');
            $table->softDeletes();
        });
        // What was removed may come in again, and what was removed by mistake may come back.
        DB::statement(
            'create unique index workshop_tools_once on workshop_tools (crib_id, kind, designation, edge) where deleted_at is null',
        );

        Schema::create('workshop_machines', function (Blueprint $table): void {
            $table->id();
            $table->string('slug')->unique();
            $table->string('name');
            $table->string('kind');
            $table->jsonb('speeds_rpm')->nullable()->comment('steps; null for a range');
            $table->jsonb('speed_names')->nullable()->comment('what the shop calls each step');
            $table->decimal('min_rpm', 8, 2)->nullable();
            $table->decimal('max_rpm', 8, 2)->nullable();
            $table->string('speed_change')->nullable()->comment('stopped_and_isolated, running or any');
            $table->jsonb('depth_scale')->nullable()->comment('{unit, graduation_mm, travel_mm}');
            $table->decimal('chuck_max_mm', 8, 3)->nullable();
            $table->decimal('through_bore_mm', 8, 3)->nullable();
            $table->jsonb('dial')->nullable()->comment('of the carriage: {graduation_mm, divisions_per_turn, reads_diameter}');
            $table->jsonb('cross_dial')->nullable();
            $table->unsignedSmallInteger('taper')->nullable()->comment('Morse number of spindle or tailstock');
            $table->boolean('in_service')->default(true);
            $table->string('service_note')->nullable();
            $table->timestampsTz();
        });

        // The cribs that stand beside a machine; several machines may share one.
        Schema::create('workshop_crib_machine', function (Blueprint $table): void {
            $table->foreignId('crib_id')->constrained('workshop_cribs')->cascadeOnDelete();
            $table->foreignId('machine_id')->constrained('workshop_machines')->cascadeOnDelete();
            $table->primary(['crib_id', 'machine_id']);
        });

        // In and out of service, each with its reason; the machine itself only carries the last of them.
        Schema::create('workshop_services', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('machine_id')->constrained('workshop_machines');
            $table->boolean('in_service');
            $table->string('reason');
            $table->foreignId('said_by')->nullable()->constrained('people_users');
            $table->timestampTz('at');
            $table->index(['machine_id', 'at']);
        });

        // The shop's own rows, beside those of materials.csv or in the place of one.
        Schema::create('workshop_materials', function (Blueprint $table): void {
            $table->id();
            $table->string('key')->unique();
            $table->jsonb('row');
            $table->timestampsTz();
        });

        Schema::create('workshop_bars', function (Blueprint $table): void {
            $table->id();
            $table->string('material');
            $table->decimal('diameter_mm', 8, 3);
            $table->decimal('length_mm', 9, 3);
            $table->unsignedInteger('count');
            $table->timestampsTz();
            $table->unique(['material', 'diameter_mm', 'length_mm']);
        });

        Schema::create('workshop_parts', function (Blueprint $table): void {
            $table->id();
            $table->string('slug')->unique();
            $table->string('name');
            $table->string('material')->comment('a row of materials.csv');
            $table->string('stock');
            $table->decimal('thickness_mm', 9, 4);
            $table->jsonb('holes')->comment('[{id, x_mm, y_mm, diameter_mm, lower_mm, upper_mm, position_tolerance_mm}]');
            $table->timestampsTz();
        });

        // A change of policy is a new row: what was in force when a plan was made can be shown later.
        Schema::create('workshop_policies', function (Blueprint $table): void {
            $table->id();
            $table->jsonb('settings');
            $table->string('note')->nullable()->comment('why it was changed');
            $table->foreignId('set_by')->nullable()->constrained('people_users');
            $table->timestampTz('in_force_from');
        });
    }
};

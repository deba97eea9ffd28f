<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('workshop_cribs', function (Blueprint $table): void {
            $table->id();
            $table->string('slug')->unique();
            $table->string('name');
            $table->timestampsTz();
        });

        Schema::create('workshop_tools', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('crib_id')->constrained('workshop_cribs')->cascadeOnDelete();
            $table->string('kind')->default('drill');
            $table->string('system');
            $table->string('designation');
            $table->decimal('diameter_mm', 12, 6);
            $table->string('edge')->default('normal')->comment('normal or zero_rake');
            $table->string('condition')->default('sharp');
            $table->unique(['crib_id', 'kind', 'system', 'designation']);
        });

        Schema::create('workshop_machines', function (Blueprint $table): void {
            $table->id();
            $table->string('slug')->unique();
            $table->string('name');
            $table->string('kind');
            $table->foreignId('crib_id')->nullable()->constrained('workshop_cribs');
            $table->jsonb('speeds_rpm')->nullable()->comment('steps; null for a range');
            $table->decimal('min_rpm', 8, 2)->nullable();
            $table->decimal('max_rpm', 8, 2)->nullable();
            $table->string('speed_change')->nullable()->comment('stopped_and_isolated or running');
            $table->jsonb('depth_scale')->nullable()->comment('{unit, graduation_mm, travel_mm}');
            $table->decimal('chuck_max_mm', 8, 3)->nullable();
            $table->boolean('in_service')->default(true);
            $table->string('service_note')->nullable();
            $table->timestampsTz();
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
            $table->foreignId('set_by')->nullable()->constrained('people_users');
            $table->timestampTz('in_force_from');
        });
    }
};

// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "bed/camera.hpp"
#include "theme/theme.hpp"

#include <chalkline/job/job.hpp>

#include <QPainter>

// What lies under the art: the machine's work area with its rulers, and the piece of material.
namespace chalkline::app {

QPolygonF polygon_of(const geometry::Polyline& line, const Camera& camera);
QRectF rect_of(const geometry::Box& box, const Camera& camera);

void draw_grid(QPainter& painter, const geometry::Box& bed, const Camera& camera, const theme::Roles& roles);
/// The figures stay in view when the bed's edge does not.
void draw_rulers(QPainter& painter, const geometry::Box& bed, const Camera& camera, const theme::Roles& roles);
/// The piece in the colour of its bare material.
void draw_stock(QPainter& painter, const job::Stock& stock, const QColor& material, const Camera& camera,
                const theme::Roles& roles);
/// Dark where all that burns comes out light, as on slate.
QColor material_of(const job::Job& job, const theme::Roles& roles);

}  // namespace chalkline::app

// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/raster/image.hpp>
